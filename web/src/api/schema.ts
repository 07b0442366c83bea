export interface paths {
    "/api/v1/builds": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /**
         * List Builds
         * @description The owner's builds, the one changed last first.
         */
        get: operations["listBuilds"];
        put?: never;
        /**
         * Create Build
         * @description Make an empty build.
         */
        post: operations["createBuild"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/builds/open": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        /**
         * Open Build
         * @description Store the build that a file holds, with its history where the file has it.
         */
        post: operations["openBuild"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/builds/{key}": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /**
         * Get Build
         * @description A build, whole, with its result.
         */
        get: operations["getBuild"];
        put?: never;
        post?: never;
        /**
         * Remove Build
         * @description Throw a build away: thirty days it lies in the bin, with its history, record, photos and
         *     readings.
         */
        delete: operations["removeBuild"];
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/builds/{key}/copy": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        /**
         * Copy Build
         * @description Copy a build as one of its own.
         */
        post: operations["copyBuild"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/builds/{key}/variant": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        /**
         * Make Variant
         * @description Make a variant of a build: it begins as that one and knows it.
         */
        post: operations["makeVariant"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/builds/{key}/take-variant": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        /**
         * Take Variant
         * @description Make a build what a variant of it is: one change, taken back by one undo.
         */
        post: operations["takeVariant"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/builds/{key}/group": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        /**
         * Put In Group
         * @description Put a build into a group.
         */
        put: operations["putInGroup"];
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/bin/builds": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /**
         * Builds In Bin
         * @description Builds that were thrown away in the last thirty days.
         */
        get: operations["buildsInBin"];
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/bin/builds/{key}": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        /**
         * Bring Back
         * @description Take a build out of the bin.
         */
        post: operations["bringBuildBack"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/builds/{key}/history.json": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /**
         * Save History
         * @description The build with its whole history, as a file that can be opened.
         */
        get: operations["saveHistory"];
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/builds/{key}/file": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /**
         * Save Build
         * @description The build's file; of one that can't be read, what is there of it.
         */
        get: operations["saveBuild"];
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/builds/{key}/actions": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        /**
         * Act
         * @description Make one edit.
         */
        post: operations["act"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/builds/{key}/preview": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        /**
         * Preview
         * @description The result that an edit would have. Writes nothing.
         */
        post: operations["preview"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/builds/{key}/undo": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        /**
         * Undo
         * @description Take the last change back.
         */
        post: operations["undo"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/builds/{key}/redo": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        /**
         * Redo
         * @description Bring the last undone change back.
         */
        post: operations["redo"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/builds/{key}/supply": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        /**
         * Take Supply
         * @description Take a supply of the catalogue or of the drawer, with its cables.
         */
        post: operations["takeSupply"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/builds/{key}/candidates": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /**
         * List Candidates
         * @description The supplies that may be taken, judged for this build, best first.
         */
        get: operations["candidates"];
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/builds/{key}/candidates.csv": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /**
         * Candidates Csv
         * @description The supply in the build and those that may be taken, check by check, as CSV.
         */
        get: operations["candidatesCsv"];
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/builds/{key}/sizes": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /**
         * Sizes
         * @description The sizes below, at and above the one that is needed; what raised power limits add.
         */
        get: operations["sizes"];
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/builds/{key}/fit": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /**
         * Fit
         * @description Room in the case and air through it, and the drawing.
         */
        get: operations["fit"];
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/builds/{key}/week": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /**
         * Week
         * @description A week of the supply in the build, or of the one called `of`.
         */
        get: operations["week"];
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/builds/{key}/stay": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /**
         * Stay
         * @description What would let the supply in place stay; nothing where it does already.
         */
        get: operations["waysToStay"];
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/builds/{key}/runs/{cable}": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /**
         * Why
         * @description Every element of one run.
         */
        get: operations["why"];
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/builds/{key}/rows": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /**
         * Rows
         * @description The rows that add up to every figure of the tally.
         */
        get: operations["rows"];
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/builds/{key}/lines": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /**
         * Lines
         * @description The parts of a build as lines that the entry line reads.
         */
        get: operations["lines"];
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/builds/{key}/map.csv": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /**
         * Map File
         * @description The connection list as CSV.
         */
        get: operations["mapCsv"];
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/builds/{key}/loom.svg": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /**
         * Loom Picture
         * @description The Loom as SVG.
         */
        get: operations["loomSvg"];
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/builds/{key}/loom.pdf": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /**
         * Loom Page
         * @description The Loom as PDF.
         */
        get: operations["loomPdf"];
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/builds/{key}/offers": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /**
         * Offers
         * @description What a picked socket, or a picked plug, can be connected with.
         */
        get: operations["offers"];
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/builds/{key}/positions": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /**
         * Positions
         * @description What each position of each house rule would make of this build. Of a large build not all come
         *     at once: ask for those `after` so many, until none comes.
         */
        get: operations["positions"];
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/builds/{key}/assumptions": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /**
         * Uses
         * @description Where each assumption counts in this build, in words. Of a large build not all come at once:
         *     ask for those `after` so many, until none comes.
         */
        get: operations["assumptionUses"];
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/house-rules": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /**
         * House Rules
         * @description The house rules that a new build starts with.
         */
        get: operations["houseRules"];
        /**
         * Set House Rules
         * @description Set the house rules of new builds, and with `everywhere` of every build that is there; of
         *     many builds some are `left`: ask again with those.
         */
        put: operations["setHouseRules"];
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/reference": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /**
         * Get Reference
         * @description Connectors, words, templates, declared figures and assumptions.
         */
        get: operations["reference"];
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/entry": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        /**
         * Say
         * @description What the entry line understands, and what the catalogue has. Writes nothing.
         */
        post: operations["say"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/entries": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        /**
         * Entries
         * @description What each line of a list is understood as. Writes nothing.
         */
        post: operations["entries"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/cases": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /**
         * List Cases
         * @description The cases of the catalogue.
         */
        get: operations["cases"];
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/cases/read": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        /**
         * Read Case
         * @description The case that a line says. Writes nothing.
         */
        post: operations["readCase"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/words": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /**
         * Own Words
         * @description One's own words, and all that a word may mean.
         */
        get: operations["words"];
        put?: never;
        /**
         * Learn
         * @description Learn a word of one's own.
         */
        post: operations["learnWord"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/words/{word}": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        post?: never;
        /**
         * Forget
         * @description Forget a word of one's own.
         */
        delete: operations["forgetWord"];
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/catalogue": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /**
         * Catalogue
         * @description Entries that fit some words, one's own first.
         */
        get: operations["catalogue"];
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/catalogue/entries/{slug}": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /**
         * Entry
         * @description One entry as it is now.
         */
        get: operations["catalogueEntry"];
        put?: never;
        post?: never;
        /**
         * Remove
         * @description Remove an entry of one's own.
         */
        delete: operations["removePart"];
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/catalogue/file": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /**
         * Save
         * @description The catalogue, or one's own entries of it, as CSV.
         */
        get: operations["saveCatalogue"];
        put?: never;
        /**
         * Take
         * @description Take a CSV file in, whole or not at all.
         */
        post: operations["takeCatalogue"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/catalogue/template": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /**
         * Template
         * @description A CSV file to start from.
         */
        get: operations["catalogueTemplate"];
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/catalogue/preview": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        /**
         * Preview
         * @description What a CSV file would change, line by line. Writes nothing.
         */
        post: operations["previewCatalogue"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/catalogue/entries": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        /**
         * Keep
         * @description Keep a part as an entry of one's own.
         */
        post: operations["keepPart"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/catalogue/bin": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /**
         * Parts In Bin
         * @description One's own entries that were thrown away in the last thirty days.
         */
        get: operations["partsInBin"];
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/catalogue/entries/{slug}/back": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        /**
         * Bring Back
         * @description Take an entry of one's own out of the bin.
         */
        post: operations["bringPartBack"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/drawer": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /**
         * Drawer
         * @description Everything in the drawer.
         */
        get: operations["drawer"];
        put?: never;
        /**
         * Put
         * @description Put a thing in the drawer.
         */
        post: operations["putInDrawer"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/drawer/read": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        /**
         * Read
         * @description What lines are understood as. Writes nothing.
         */
        post: operations["readThing"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/drawer/supplies.csv": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /**
         * Save Supplies
         * @description The supplies of the drawer, and those of the catalogue, as CSV.
         */
        get: operations["suppliesFile"];
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/drawer/supplies": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        /**
         * Read Supplies
         * @description Take every supply of a CSV in, whole or not at all; what the catalogue has is left out.
         */
        post: operations["readSupplies"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/drawer/{key}": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        post?: never;
        /**
         * Remove
         * @description Take a thing out for good.
         */
        delete: operations["removeThing"];
        options?: never;
        head?: never;
        /**
         * Change
         * @description Set some fields of a thing, or say it anew.
         */
        patch: operations["changeThing"];
        trace?: never;
    };
    "/api/v1/prices": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /**
         * List Prices
         * @description What things cost that could be had, as far as that was given.
         */
        get: operations["prices"];
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        /**
         * Give Prices
         * @description Say what things cost, and in which currency.
         */
        patch: operations["givePrices"];
        trace?: never;
    };
    "/api/v1/loose": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /**
         * Loose
         * @description Cables, adapters, extensions and brackets that are sold by themselves.
         */
        get: operations["loose"];
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/loose/read": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        /**
         * Read Loose
         * @description What a line says that may go between the supply and its sockets. Writes nothing.
         */
        post: operations["readLoose"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/loose/boxed": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        /**
         * Read Of Box
         * @description What a line says that came in a box. Writes nothing.
         */
        post: operations["readBoxed"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/builds/{key}/map": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /**
         * State
         * @description How far a map is.
         */
        get: operations["mapState"];
        put?: never;
        /**
         * Map It
         * @description Ask for a map. One before it is dropped.
         */
        post: operations["mapIt"];
        /**
         * Stop
         * @description Stop a map that is under way, or put its answer away.
         */
        delete: operations["stopMap"];
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/builds/{key}/reach": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /**
         * Ways To Reach
         * @description What mends plugs of the map that do not reach, each way worked out; nothing where all do.
         */
        get: operations["waysToReach"];
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/builds/{key}/feeds": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /**
         * List Feeds
         * @description Which supplies feed all sockets, as far as that is known.
         */
        get: operations["feeds"];
        put?: never;
        /**
         * Ask Feeds
         * @description Which supplies feed all sockets, as far as is known; the rest follows in the background.
         */
        post: operations["askFeeds"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/builds/{key}/rule-feeds": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        /**
         * Ask Rule Feeds
         * @description The same of each position of the house rules that decide a map, called
         *     `rule:the-rule:position`; in words too.
         */
        post: operations["askRuleFeeds"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/builds/{key}/questions": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /**
         * List Questions
         * @description The questions that were asked last, the newest first.
         */
        get: operations["listQuestions"];
        put?: never;
        /**
         * Ask
         * @description Ask what becomes of a build by a change. What is not understood is asked back.
         */
        post: operations["askQuestion"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/builds/{key}/shelf": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /**
         * Names
         * @description What may be asked about by its name.
         */
        get: operations["askableNames"];
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/builds/{key}/questions/{id}": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /**
         * Get Question
         * @description A question, and its answer as far as that is.
         */
        get: operations["getQuestion"];
        put?: never;
        post?: never;
        /**
         * Drop
         * @description Forget a question.
         */
        delete: operations["dropQuestion"];
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/builds/{key}/questions/{id}/take": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        /**
         * Take
         * @description Make the build what an answer tells of: one change, taken back by one undo.
         */
        post: operations["takeAnswer"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/builds/{key}/questions/{id}/variant": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        /**
         * Variant
         * @description Make what an answer tells of a variant of the build; also where that has changed since.
         */
        post: operations["variantOfAnswer"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/builds/{key}/questions/{id}/answer.{kind}": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /**
         * File
         * @description An answer as pages, or as one page that opens anywhere and holds the build file.
         */
        get: operations["answerFile"];
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/compare": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /**
         * Compare
         * @description Up to four builds side by side; `sides`: what they are called, by commas.
         */
        get: operations["compareBuilds"];
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/compare.{kind}": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /**
         * File
         * @description The comparison as CSV, or as pages.
         */
        get: operations["comparisonFile"];
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/schools": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /**
         * List Schools
         * @description The schools that ship, then one's own.
         */
        get: operations["listSchools"];
        put?: never;
        /**
         * Keep School
         * @description Keep a set of positions as a school of one's own.
         */
        post: operations["keepSchool"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/schools/{id}": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        post?: never;
        /**
         * Remove School
         * @description Remove a school of one's own.
         */
        delete: operations["removeSchool"];
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/builds/{key}/schools": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /**
         * Schools State
         * @description How far that is.
         */
        get: operations["schoolsState"];
        put?: never;
        /**
         * Ask Schools
         * @description Ask what becomes of a build under every school.
         */
        post: operations["askSchools"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/builds/{key}/past": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /**
         * List Past
         * @description The marks of a build, and the last of its changes.
         */
        get: operations["pastOf"];
        put?: never;
        /**
         * Mark
         * @description Mark the build as it is by a name.
         */
        post: operations["markBuild"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/builds/{key}/bench": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /**
         * Get Plan
         * @description The steps from the map as it is, with what is done.
         */
        get: operations["benchPlan"];
        put?: never;
        /**
         * Add Entries
         * @description Add to the record; what was sent before stands once.
         */
        post: operations["benchDone"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/builds/{key}/found": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /**
         * Get Places
         * @description Every socket and every supply end, with what may be found there.
         */
        get: operations["foundPlaces"];
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/builds/{key}/record": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /**
         * Get Record
         * @description What was done when, by whom, with which version of the build.
         */
        get: operations["machineRecord"];
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/builds/{key}/bench.csv": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /**
         * Record File
         * @description The record as CSV.
         */
        get: operations["benchRecord"];
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/builds/{key}/record.zip": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /**
         * Archive
         * @description The build's file with its record and its photos, as one archive.
         */
        get: operations["benchArchive"];
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/builds/{key}/bench.pdf": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /**
         * Sheet
         * @description The work order as PDF: what is open of the work.
         */
        get: operations["benchSheet"];
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/builds/{key}/flags.pdf": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /**
         * Flags
         * @description Cable flags as PDF: both ends of every run, to be folded over the cable.
         */
        get: operations["cableFlags"];
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/builds/{key}/photos": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        /**
         * Add Photo
         * @description Keep a photo at a step; place and device that the camera noted are left out. It comes back at
         *     every step that plugs one of its `places` again.
         */
        post: operations["addPhoto"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/builds/{key}/photos/{photo}": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /**
         * Get Photo
         * @description A photo.
         */
        get: operations["getPhoto"];
        put?: never;
        post?: never;
        /**
         * Remove Photo
         * @description Throw a photo away: thirty days it lies in the bin.
         */
        delete: operations["removePhoto"];
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/builds/{key}/bin/photos": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /**
         * Photos In Bin
         * @description Photos of a build that were thrown away in the last thirty days.
         */
        get: operations["photosInBin"];
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/builds/{key}/bin/photos/{photo}": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        /**
         * Bring Back
         * @description Take a photo out of the bin.
         */
        post: operations["bringPhotoBack"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/builds/{key}/readings": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /**
         * List Readings
         * @description The sets of a build, and what can be measured of it.
         */
        get: operations["listReadings"];
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/builds/{key}/readings/typed": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        /**
         * Type Readings
         * @description Keep figures that were read off. Raises BadInput: a channel, a figure below nothing.
         */
        post: operations["typeReadings"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/builds/{key}/readings/simulated": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        /**
         * Simulate
         * @description Run the simulated instruments of a build, faster than real time, and keep what they read.
         */
        post: operations["simulate"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/builds/{key}/readings/stream": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        /**
         * Hear Stream
         * @description Hear instruments on a local socket; each row is kept as it comes.
         */
        post: operations["hearStream"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/builds/{key}/readings/{taken}/stop": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        /**
         * Stop Stream
         * @description End a stream; what came is kept.
         */
        post: operations["stopStream"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/builds/{key}/readings/head": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        /**
         * Read Head
         * @description What the columns of a file are taken for, off its first lines.
         */
        post: operations["readHead"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/readings/names": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        /**
         * Learn
         * @description Remember what heads mean: `time`, `state`, `ignore` or a channel.
         */
        put: operations["learnHeads"];
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/builds/{key}/readings/file": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        /**
         * Read File
         * @description Read a file of readings; how far it is stands in its job.
         */
        post: operations["readFile"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/builds/{key}/readings/file/{job}": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /**
         * File State
         * @description How far a file is.
         */
        get: operations["fileState"];
        put?: never;
        post?: never;
        /**
         * Stop File
         * @description Stop reading a file; nothing of it is kept.
         */
        delete: operations["stopFile"];
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/builds/{key}/readings/{taken}": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /**
         * Get Readings
         * @description A set.
         */
        get: operations["getReadings"];
        put?: never;
        post?: never;
        /**
         * Remove
         * @description Throw a set away: thirty days it lies in the bin, and the record keeps that it was taken.
         */
        delete: operations["removeReadings"];
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/builds/{key}/bin/readings": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /**
         * Sets In Bin
         * @description Sets of a build that were thrown away in the last thirty days.
         */
        get: operations["readingsInBin"];
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/builds/{key}/bin/readings/{taken}": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        /**
         * Bring Back
         * @description Take a set out of the bin.
         */
        post: operations["bringReadingsBack"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/builds/{key}/readings/{taken}/held": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /**
         * Get Held
         * @description A set held against its build.
         */
        get: operations["heldReadings"];
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/builds/{key}/readings/{taken}/named": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        /**
         * Name States
         * @description Name the states of a set; none: they are recognised.
         */
        put: operations["nameStates"];
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/builds/{key}/readings/{taken}/series": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /**
         * Series
         * @description Some channels between two times, so that no peak is lost.
         */
        get: operations["series"];
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/builds/{key}/readings/{taken}/settled": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /**
         * Get Settled
         * @description The figures that a set settles.
         */
        get: operations["settledFigures"];
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/builds/{key}/readings/{taken}/file.csv": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /**
         * As Csv
         * @description A set as CSV.
         */
        get: operations["readingsFile"];
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/builds/{key}/readings/{taken}/picture.svg": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /**
         * As Svg
         * @description Some channels between two times as SVG.
         */
        get: operations["readingsPicture"];
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/builds/{key}/handover.pdf": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /**
         * Get Handover
         * @description One page for whoever gets the machine, with what was measured: never what was simulated.
         */
        get: operations["handover"];
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/builds/{key}/tally.pdf": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /**
         * Get Tally
         * @description The tally with the parts list, to be handed over.
         */
        get: operations["tallyPages"];
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/builds/{key}/machine.pdf": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /**
         * Get Machine
         * @description The whole machine: tally and parts, the Loom, what is open of the work, the handover.
         */
        get: operations["machinePages"];
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/trainer": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /**
         * List Exercises
         * @description The exercises, and how they went.
         */
        get: operations["listExercises"];
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/trainer/{number}": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /**
         * Play
         * @description An exercise; 0 with a build: one of one's own, with a fault at random by the seed.
         */
        get: operations["playExercise"];
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/trainer/{number}/series": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /**
         * Series
         * @description Some channels of an exercise between two times.
         */
        get: operations["exerciseSeries"];
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/trainer/{number}/seen": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        /**
         * Look
         * @description What one sees of a joint.
         */
        post: operations["lookAtJoint"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/trainer/{number}/answer": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        /**
         * Give
         * @description Judge an answer, and keep it.
         */
        post: operations["answerExercise"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/here": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /**
         * Here
         * @description Who asks, and what it may do.
         */
        get: operations["whoAsks"];
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/news/{key}": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /**
         * Build News
         * @description Whether something is new of a build; little enough to be asked by the second.
         */
        get: operations["buildNews"];
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/door": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /**
         * Get Door
         * @description The door as it is.
         */
        get: operations["networkDoor"];
        put?: never;
        /**
         * Open Door
         * @description Listen on the network for some hours, for one build, with a code for the first device.
         */
        post: operations["openNetworkDoor"];
        /**
         * Close Door
         * @description Listen no more; every device goes.
         */
        delete: operations["closeNetworkDoor"];
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/door/code": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        /**
         * New Code
         * @description A code for one more device; one that was out is void.
         */
        post: operations["newDoorCode"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/door/code.svg": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /**
         * Code Picture
         * @description The way in with its code, as a picture that a phone reads.
         */
        get: operations["doorCodePicture"];
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/door/devices/{number}": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        post?: never;
        /**
         * Send Device Away
         * @description From now on it is a stranger.
         */
        delete: operations["sendDeviceAway"];
        options?: never;
        head?: never;
        /**
         * Allow Device
         * @description What a device may do from now on.
         */
        patch: operations["allowDevice"];
        trace?: never;
    };
}
export type webhooks = Record<string, never>;
export interface components {
    schemas: {
        /**
         * Amount
         * @description Watts [W] with bounds; where `missing` names parts, read it as “at least”.
         */
        Amount: {
            /** Low */
            low: number;
            /** Likely */
            likely: number;
            /** High */
            high: number;
            /**
             * Missing
             * @default []
             */
            missing?: string[];
        };
        /**
         * Amounts
         * @description Watts [W], or amperes [A] of a rail, in each state.
         */
        Amounts: {
            sleep: components["schemas"]["Amount"];
            idle: components["schemas"]["Amount"];
            everyday: components["schemas"]["Amount"];
            full: components["schemas"]["Amount"];
            start: components["schemas"]["Amount"];
            short: components["schemas"]["Amount"];
        };
        /**
         * BuildCard
         * @description A build in the list. One that can't be read has no strip, and says why in `problem`.
         */
        BuildCard: {
            /** Key */
            key: string;
            /** Name */
            name: string;
            /** Note */
            note: string;
            /**
             * Changed At
             * Format: date-time
             */
            changed_at: string;
            /** Group */
            group: string;
            /** Began As */
            began_as: string;
            strip: components["schemas"]["Strip"] | null;
            overall: components["schemas"]["Overall"] | null;
            /** Problem */
            problem: string;
        };
        /**
         * Overall
         * @description The verdict on the build as a whole: `proven` where each limit is known; `holds, by usual
         *     figures` where some are not, and are taken as usual; `not proven` while something is unknown,
         *     or not checked.
         */
        Overall: {
            /**
             * Verdict
             * @enum {string}
             */
            verdict: "to mend" | "not proven" | "holds, by usual figures" | "proven";
            /** Text */
            text: string;
            /**
             * Usual
             * @default 0
             */
            usual?: number;
            /**
             * Could Break
             * @default 0
             */
            could_break?: number;
        };
        /**
         * SpikeAmounts
         * @description Watts [W] of the spikes in the four windows.
         */
        SpikeAmounts: {
            ms_0_1: components["schemas"]["Amount"];
            ms_1: components["schemas"]["Amount"];
            ms_10: components["schemas"]["Amount"];
            ms_100: components["schemas"]["Amount"];
        };
        /**
         * Strip
         * @description The few figures that stand on every page of a build.
         */
        Strip: {
            watts: components["schemas"]["Amounts"];
            spikes: components["schemas"]["SpikeAmounts"];
            /** Supply */
            supply: string | null;
            /** Supply W */
            supply_w: number | null;
            /** Supply Percent */
            supply_percent: number | null;
            /** Supply Verdict */
            supply_verdict: ("right size" | "a little short" | "too small" | "too big" | "does not fit" | "unknown") | "none";
            /** Sockets Needed */
            sockets_needed: number;
            /** Sockets Fed */
            sockets_fed: number;
            /** Ports Left */
            ports_left: number;
            /** Tight */
            tight: number;
            /** Mend */
            mend: {
                [key: string]: number;
            };
            /** Find Out */
            find_out: number;
        };
        /**
         * Adapter
         * @description One or more leads, each its own plug to go into it, and one or more plugs. A Y-piece, and a
         *     lead from 4-pin to SATA, are adapters.
         */
        Adapter: {
            /** Key */
            key: string;
            /** Name */
            name: string;
            /**
             * Note
             * @default
             */
            note?: string;
            /** Leads */
            leads: components["schemas"]["Lead"][];
            /** Plugs */
            plugs: components["schemas"]["Plug"][];
            /** Gauge */
            gauge?: (14 | 16 | 18 | 20 | 22) | null;
            /**
             * @description of one lead
             * @default {
             *       "v12": 0,
             *       "v5": 0,
             *       "v3v3": 0,
             *       "v5sb": 0,
             *       "ground": 0
             *     }
             */
            conductors?: components["schemas"]["RailPins"];
            /**
             * Insulation Degc
             * @description printed on the insulation
             */
            insulation_degc?: number | null;
            /**
             * Moulded
             * @description 4-pin to SATA moulded over its wires, or crimped
             */
            moulded?: boolean | null;
            /**
             * Codes
             * @description of its 16-pin plug, by leads
             * @default []
             */
            codes?: components["schemas"]["CodeAt"][];
            /**
             * Owned
             * @description the thing in the drawer that it is
             * @default
             */
            owned?: string;
            /**
             * Individual
             * @description which very thing it is: stays while its figures are edited; empty: not given
             * @default
             */
            individual?: string;
            /** @description that it is yet to be bought */
            to_buy?: components["schemas"]["ToBuy"] | null;
            /**
             * Connections
             * @default []
             */
            connections?: components["schemas"]["Connection"][];
        };
        /**
         * AddBetween
         * @description Add an adapter, an extension or a backplane, plugged into nothing.
         */
        AddBetween: {
            /**
             * @description discriminator enum property added by openapi-typescript
             * @enum {string}
             */
            type: "add adapter";
            /** Thing */
            thing: components["schemas"]["Adapter"] | components["schemas"]["Extension"] | components["schemas"]["Backplane"];
        };
        /**
         * AddCable
         * @description Add a cable to the bag.
         */
        AddCable: {
            /**
             * @description discriminator enum property added by openapi-typescript
             * @enum {string}
             */
            type: "add cable";
            cable: components["schemas"]["Cable"];
        };
        /**
         * AddPart
         * @description Add a part; its key is made from its name where the one given is taken.
         */
        AddPart: {
            /**
             * @description discriminator enum property added by openapi-typescript
             * @enum {string}
             */
            type: "add part";
            /** Part */
            part: components["schemas"]["Processor"] | components["schemas"]["Board"] | components["schemas"]["Card"] | components["schemas"]["Memory"] | components["schemas"]["M2Drive"] | components["schemas"]["Drive"] | components["schemas"]["Fan"] | components["schemas"]["Pump"] | components["schemas"]["Cooler"] | components["schemas"]["LightStrip"] | components["schemas"]["Hub"] | components["schemas"]["UsbLoad"] | components["schemas"]["Other"];
        };
        /**
         * AddParts
         * @description Add several parts in one step.
         */
        AddParts: {
            /**
             * @description discriminator enum property added by openapi-typescript
             * @enum {string}
             */
            type: "add parts";
            /** Parts */
            parts: (components["schemas"]["Processor"] | components["schemas"]["Board"] | components["schemas"]["Card"] | components["schemas"]["Memory"] | components["schemas"]["M2Drive"] | components["schemas"]["Drive"] | components["schemas"]["Fan"] | components["schemas"]["Pump"] | components["schemas"]["Cooler"] | components["schemas"]["LightStrip"] | components["schemas"]["Hub"] | components["schemas"]["UsbLoad"] | components["schemas"]["Other"])[];
        };
        /**
         * Added
         * @description What a map stands on beyond the build: cables, adapters, extensions, a house rule, power
         *     limits of cards as shares of their maker's.
         */
        Added: {
            /**
             * Cables
             * @default []
             */
            cables?: components["schemas"]["Cable"][];
            /**
             * Adapters
             * @default []
             */
            adapters?: components["schemas"]["Adapter"][];
            /**
             * Extensions
             * @default []
             */
            extensions?: components["schemas"]["Extension"][];
            /**
             * House Rules
             * @default {}
             */
            house_rules?: {
                [key: string]: unknown;
            };
            /**
             * Power Limits
             * @default {}
             */
            power_limits?: {
                [key: string]: number;
            };
            /** @description another supply, with `box` */
            supply?: components["schemas"]["Supply"] | null;
            /**
             * Box
             * @default []
             */
            box?: components["schemas"]["Cable"][];
        };
        /**
         * Assumptions
         * @description What is taken where the builder has no figure.
         */
        Assumptions: {
            /**
             * Regulator Efficiency
             * @description efficiency of the board's processor regulator fed from 12 V
             * @default 0.9
             */
            regulator_efficiency?: number;
            /**
             * Regulator Efficiency 5V
             * @description efficiency of the processor regulator on a board that feeds it from 5 V
             * @default 0.8
             */
            regulator_efficiency_5v?: number;
            /**
             * @description processor package at idle
             * @default {
             *       "low": 8,
             *       "likely": 15,
             *       "high": 30
             *     }
             */
            processor_idle_w?: components["schemas"]["Bounds"];
            /**
             * @description short package limit as a multiple of the sustained one
             * @default {
             *       "low": 1,
             *       "likely": 1.25,
             *       "high": 1.6
             *     }
             */
            processor_short_ratio?: components["schemas"]["Bounds"];
            /**
             * @description the board's own draw at 12 V, at full
             * @default {
             *       "low": 8,
             *       "likely": 12,
             *       "high": 18
             *     }
             */
            board_12v_w?: components["schemas"]["Bounds"];
            /**
             * @description the board's own draw at 5 V, at full
             * @default {
             *       "low": 3,
             *       "likely": 6,
             *       "high": 10
             *     }
             */
            board_5v_w?: components["schemas"]["Bounds"];
            /**
             * @description the board's own draw at 3.3 V, at full
             * @default {
             *       "low": 4,
             *       "likely": 7,
             *       "high": 10
             *     }
             */
            board_3v3_w?: components["schemas"]["Bounds"];
            /**
             * @description the board's idle draw as a share of full
             * @default {
             *       "low": 0.4,
             *       "likely": 0.6,
             *       "high": 0.9
             *     }
             */
            board_idle_share?: components["schemas"]["Bounds"];
            /**
             * @description a card's idle draw as a share of full
             * @default {
             *       "low": 0.03,
             *       "likely": 0.06,
             *       "high": 0.12
             *     }
             */
            card_idle_share?: components["schemas"]["Bounds"];
            /**
             * @description what a card with 6- or 8-pin sockets takes from its slot at 12 V
             * @default {
             *       "low": 0,
             *       "likely": 50,
             *       "high": 66
             *     }
             */
            slot_share_with_8pin_w?: components["schemas"]["Bounds"];
            /**
             * @description what a card with a 16-pin socket takes from its slot at 12 V
             * @default {
             *       "low": 0,
             *       "likely": 10,
             *       "high": 66
             *     }
             */
            slot_share_with_16pin_w?: components["schemas"]["Bounds"];
            /**
             * @description one memory module at full
             * @default {
             *       "low": 3,
             *       "likely": 5,
             *       "high": 8
             *     }
             */
            memory_module_w?: components["schemas"]["Bounds"];
            /**
             * @description memory at idle as a share of full
             * @default {
             *       "low": 0.2,
             *       "likely": 0.3,
             *       "high": 0.5
             *     }
             */
            memory_idle_share?: components["schemas"]["Bounds"];
            /**
             * @description an M.2 drive at full
             * @default {
             *       "low": 4,
             *       "likely": 7,
             *       "high": 11
             *     }
             */
            m2_w?: components["schemas"]["Bounds"];
            /**
             * @description an M.2 drive at idle as a share of full
             * @default {
             *       "low": 0.05,
             *       "likely": 0.15,
             *       "high": 0.3
             *     }
             */
            m2_idle_share?: components["schemas"]["Bounds"];
            /**
             * @description a 3.5-inch disk running, at 12 V
             * @default {
             *       "low": 0.4,
             *       "likely": 0.6,
             *       "high": 0.8
             *     }
             */
            disk35_12v_a?: components["schemas"]["Bounds"];
            /**
             * @description a 3.5-inch disk running, at 5 V
             * @default {
             *       "low": 0.4,
             *       "likely": 0.6,
             *       "high": 0.9
             *     }
             */
            disk35_5v_a?: components["schemas"]["Bounds"];
            /**
             * @description a 3.5-inch disk at spin-up, at 12 V
             * @default {
             *       "low": 1.6,
             *       "likely": 2,
             *       "high": 2.6
             *     }
             */
            disk35_start_12v_a?: components["schemas"]["Bounds"];
            /**
             * @description a 3.5-inch disk at spin-up, at 5 V
             * @default {
             *       "low": 0.7,
             *       "likely": 1,
             *       "high": 1.3
             *     }
             */
            disk35_start_5v_a?: components["schemas"]["Bounds"];
            /**
             * @description a 3.5-inch disk's idle share of running
             * @default {
             *       "low": 0.6,
             *       "likely": 0.8,
             *       "high": 1
             *     }
             */
            disk35_idle_share?: components["schemas"]["Bounds"];
            /**
             * @description a 2.5-inch drive running, at 5 V
             * @default {
             *       "low": 0.3,
             *       "likely": 0.6,
             *       "high": 1.2
             *     }
             */
            drive25_5v_a?: components["schemas"]["Bounds"];
            /**
             * @description a 2.5-inch drive's idle share
             * @default {
             *       "low": 0.1,
             *       "likely": 0.2,
             *       "high": 0.5
             *     }
             */
            drive25_idle_share?: components["schemas"]["Bounds"];
            /**
             * @description a fan at full speed, at 12 V
             * @default {
             *       "low": 0.1,
             *       "likely": 0.2,
             *       "high": 0.4
             *     }
             */
            fan_a?: components["schemas"]["Bounds"];
            /**
             * @description an optical drive running, at 12 V
             * @default {
             *       "low": 0.5,
             *       "likely": 1,
             *       "high": 1.5
             *     }
             */
            optical_12v_a?: components["schemas"]["Bounds"];
            /**
             * @description an optical drive running, at 5 V
             * @default {
             *       "low": 0.5,
             *       "likely": 0.9,
             *       "high": 1.3
             *     }
             */
            optical_5v_a?: components["schemas"]["Bounds"];
            /**
             * @description a floppy drive running, at 12 V
             * @default {
             *       "low": 0,
             *       "likely": 0.1,
             *       "high": 0.5
             *     }
             */
            floppy_12v_a?: components["schemas"]["Bounds"];
            /**
             * @description a floppy drive running, at 5 V
             * @default {
             *       "low": 0.2,
             *       "likely": 0.4,
             *       "high": 0.8
             *     }
             */
            floppy_5v_a?: components["schemas"]["Bounds"];
            /**
             * @description a pump at full speed, at 12 V
             * @default {
             *       "low": 0.2,
             *       "likely": 0.4,
             *       "high": 1.5
             *     }
             */
            pump_a?: components["schemas"]["Bounds"];
            /**
             * @description a light strip with all lights on
             * @default {
             *       "low": 0.3,
             *       "likely": 1,
             *       "high": 2
             *     }
             */
            strip_a?: components["schemas"]["Bounds"];
            /**
             * @description a hub's or cooler's own electronics at 5 V
             * @default {
             *       "low": 0.3,
             *       "likely": 1,
             *       "high": 3
             *     }
             */
            controller_w?: components["schemas"]["Bounds"];
            /**
             * @description lights at idle as a share of full
             * @default {
             *       "low": 0.3,
             *       "likely": 0.8,
             *       "high": 1
             *     }
             */
            lights_idle_share?: components["schemas"]["Bounds"];
            /**
             * @description the board at 5 V standby
             * @default {
             *       "low": 0.8,
             *       "likely": 2,
             *       "high": 4
             *     }
             */
            board_standby_w?: components["schemas"]["Bounds"];
            /**
             * @description a USB load asleep, from standby
             * @default {
             *       "low": 0,
             *       "likely": 0,
             *       "high": 0.5
             *     }
             */
            usb_asleep_w?: components["schemas"]["Bounds"];
            /**
             * @description a USB load at idle as a share of in use
             * @default {
             *       "low": 0.5,
             *       "likely": 0.5,
             *       "high": 0.5
             *     }
             */
            usb_idle_share?: components["schemas"]["Bounds"];
            /**
             * @description a fan at idle speed as a share of full
             * @default {
             *       "low": 0.1,
             *       "likely": 0.35,
             *       "high": 1
             *     }
             */
            fan_idle_share?: components["schemas"]["Bounds"];
            /**
             * Everyday Board
             * @description the board's everyday duty, from idle to full
             * @default 0.7
             */
            everyday_board?: number;
            /**
             * Everyday Processor
             * @description the processor's everyday duty
             * @default 0.35
             */
            everyday_processor?: number;
            /**
             * Everyday Card
             * @description a card's everyday duty
             * @default 0.4
             */
            everyday_card?: number;
            /**
             * Everyday Memory
             * @description the memory's everyday duty
             * @default 0.5
             */
            everyday_memory?: number;
            /**
             * Everyday M2
             * @description an M.2 drive's everyday duty
             * @default 0.3
             */
            everyday_m2?: number;
            /**
             * Everyday Drive
             * @description a SATA drive's everyday duty
             * @default 0.5
             */
            everyday_drive?: number;
            /**
             * Everyday Fan
             * @description a fan's or pump's everyday duty
             * @default 0.5
             */
            everyday_fan?: number;
            /**
             * Everyday Lights
             * @description the lights' everyday duty
             * @default 1
             */
            everyday_lights?: number;
            /**
             * Everyday Other
             * @description everyday duty of USB and other loads
             * @default 0.5
             */
            everyday_other?: number;
            /**
             * Spike Card 0 1Ms
             * @description a graphics card's spike at 0.1 ms
             * @default 2
             */
            spike_card_0_1ms?: number;
            /**
             * Spike Card 1Ms
             * @description a graphics card's spike at 1 ms
             * @default 1.7
             */
            spike_card_1ms?: number;
            /**
             * Spike Card 10Ms
             * @description a graphics card's spike at 10 ms
             * @default 1.4
             */
            spike_card_10ms?: number;
            /**
             * Spike Card 100Ms
             * @description a graphics card's spike at 100 ms
             * @default 1.15
             */
            spike_card_100ms?: number;
            /**
             * Spike Sustained 0 1Ms
             * @description the processor's spike at 0.1 ms, on its sustained load
             * @default 1.5
             */
            spike_sustained_0_1ms?: number;
            /**
             * Spike Sustained 1Ms
             * @description the processor's spike at 1 ms, on its sustained load
             * @default 1.3
             */
            spike_sustained_1ms?: number;
            /**
             * Spike Sustained 10Ms
             * @description the processor's spike at 10 ms, on its sustained load
             * @default 1.2
             */
            spike_sustained_10ms?: number;
            /**
             * Spike Sustained 100Ms
             * @description the processor's spike at 100 ms, on its sustained load
             * @default 1.1
             */
            spike_sustained_100ms?: number;
            /**
             * Spike Short 0 1Ms
             * @description the processor's spike at 0.1 ms, on its short-time load
             * @default 1.2
             */
            spike_short_0_1ms?: number;
            /**
             * Spike Short 1Ms
             * @description the processor's spike at 1 ms, on its short-time load
             * @default 1.1
             */
            spike_short_1ms?: number;
            /**
             * Spike Short 10Ms
             * @description the processor's spike at 10 ms, on its short-time load
             * @default 1
             */
            spike_short_10ms?: number;
            /**
             * Spike Short 100Ms
             * @description the processor's spike at 100 ms, on its short-time load
             * @default 1
             */
            spike_short_100ms?: number;
            /**
             * Ride Classic 0 1Ms
             * @description what a supply of a classic design rides through at 0.1 ms
             * @default 1.3
             */
            ride_classic_0_1ms?: number;
            /**
             * Ride Classic 1Ms
             * @description what a supply of a classic design rides through at 1 ms
             * @default 1.2
             */
            ride_classic_1ms?: number;
            /**
             * Ride Classic 10Ms
             * @description what a supply of a classic design rides through at 10 ms
             * @default 1.1
             */
            ride_classic_10ms?: number;
            /**
             * Ride Classic 100Ms
             * @description what a supply of a classic design rides through at 100 ms
             * @default 1.05
             */
            ride_classic_100ms?: number;
            /**
             * Room Degc
             * @description air in the room
             * @default 25
             */
            room_degc?: number;
            /**
             * Plug Air Rise Degc
             * @description air at a plug above the room's
             * @default 15
             */
            plug_air_rise_degc?: number;
            /**
             * Insulation Degc
             * @description what a wire's insulation stands, where nothing is printed on it
             * @default 80
             */
            insulation_degc?: number;
            /**
             * Worst Pin 16Pin
             * @description current of a 16-pin plug's worst pin over the mean
             * @default 1.1
             */
            worst_pin_16pin?: number;
            /**
             * Start Factor
             * @description what pins and wires stand for the seconds of a start
             * @default 1.5
             */
            start_factor?: number;
            /**
             * Contact Mohm
             * @description one mated contact
             * @default 5
             */
            contact_mohm?: number;
            /**
             * Bend Radius Mm
             * @description radius of a cable's bend behind a plug
             * @default 10
             */
            bend_radius_mm?: number;
            /**
             * Plug Stands Mm
             * @description how far the body of a 16-pin plug stands out of its socket
             * @default 12
             */
            plug_stands_mm?: number;
            /**
             * Plug 8Pin Mm
             * @description room that a 6- or 8-pin plug takes with the bend of its cable
             * @default 35
             */
            plug_8pin_mm?: number;
            /**
             * Air Rise Degc
             * @description how much warmer air may leave the case
             * @default 10
             */
            air_rise_degc?: number;
            /**
             * Fan Flow Share
             * @description what a fan moves in a case, of its flow in the open
             * @default 0.5
             */
            fan_flow_share?: number;
            /**
             * Wire 14Awg A
             * @description one 14 AWG conductor in a bundle
             * @default 17
             */
            wire_14awg_a?: number;
            /**
             * Wire 16Awg A
             * @description one 16 AWG conductor in a bundle
             * @default 13
             */
            wire_16awg_a?: number;
            /**
             * Wire 18Awg A
             * @description one 18 AWG conductor in a bundle
             * @default 10
             */
            wire_18awg_a?: number;
            /**
             * Wire 20Awg A
             * @description one 20 AWG conductor in a bundle
             * @default 7.5
             */
            wire_20awg_a?: number;
            /**
             * Wire 22Awg A
             * @description one 22 AWG conductor in a bundle
             * @default 5
             */
            wire_22awg_a?: number;
        };
        /**
         * AtHandAnswer
         * @description What lies in a box of the build and is in no use: its name, whose box, the edit that puts it
         *     in; none of what is only mounted.
         */
        AtHandAnswer: {
            /** Name */
            name: string;
            /** Whose */
            whose: string;
            /**
             * Of
             * @enum {string}
             */
            of: "part" | "case" | "supply";
            /** Key */
            key: string;
            /** Edit */
            edit: (components["schemas"]["AddPart"] | components["schemas"]["AddParts"] | components["schemas"]["ChangePart"] | components["schemas"]["TakeEntry"] | components["schemas"]["RemovePart"] | components["schemas"]["ChangeBuild"] | components["schemas"]["TakeSupply"] | components["schemas"]["ChangeSupply"] | components["schemas"]["AddCable"] | components["schemas"]["ChangeCable"] | components["schemas"]["RemoveCable"] | components["schemas"]["AddBetween"] | components["schemas"]["Become"] | components["schemas"]["ChangeBetween"] | components["schemas"]["RemoveBetween"] | components["schemas"]["Connect"] | components["schemas"]["Exchange"] | components["schemas"]["FindOut"] | components["schemas"]["Park"] | components["schemas"]["Pin"] | components["schemas"]["PlugIn"] | components["schemas"]["SwapPlugs"] | components["schemas"]["TakeMap"] | components["schemas"]["Unplug"]) | null;
        };
        /**
         * Backplane
         * @description A drive cage: drives stand in its bays and reach the supply through its inputs.
         */
        Backplane: {
            /** Key */
            key: string;
            /** Name */
            name: string;
            /**
             * Note
             * @default
             */
            note?: string;
            /** Inputs */
            inputs: components["schemas"]["BackplaneInput"][];
            /**
             * Owned
             * @description the thing in the drawer that it is
             * @default
             */
            owned?: string;
            /**
             * Individual
             * @description which very thing it is: stays while its figures are edited; empty: not given
             * @default
             */
            individual?: string;
            /** @description that it is yet to be bought */
            to_buy?: components["schemas"]["ToBuy"] | null;
            /**
             * Connections
             * @description a bay, and the drive that stands in it
             * @default []
             */
            connections?: components["schemas"]["Connection"][];
        };
        /**
         * BackplaneInput
         * @description A power input of a backplane, and the bays that it feeds.
         */
        BackplaneInput: {
            /** Key */
            key: string;
            /**
             * Kind
             * @enum {string}
             */
            kind: "sata" | "per4";
            /** Bays */
            bays: string[];
        };
        /**
         * Band
         * @description A price that holds on some days from one hour to another; over midnight where `from_h` is
         *     the later: it belongs to the day on which it begins.
         */
        Band: {
            /** Name */
            name: string;
            /**
             * Days
             * @default [
             *       "Mon",
             *       "Tue",
             *       "Wed",
             *       "Thu",
             *       "Fri",
             *       "Sat",
             *       "Sun"
             *     ]
             */
            days?: ("Mon" | "Tue" | "Wed" | "Thu" | "Fri" | "Sat" | "Sun")[];
            /** From H */
            from_h: number;
            /** To H */
            to_h: number;
            /** Price Kwh */
            price_kwh: number;
        };
        /**
         * Become
         * @description Make a build what another one is; it keeps its own name and note.
         */
        Become: {
            /**
             * @description discriminator enum property added by openapi-typescript
             * @enum {string}
             */
            type: "become";
            build: components["schemas"]["Build"];
            /**
             * Words
             * @description what that is, for the history
             * @default
             */
            words?: string;
        };
        /**
         * BetweenAnswer
         * @description An adapter, an extension or a backplane: its leads, its plugs (or bays), the cables that it
         *     hangs on; `wrong` says why it is never allowed by itself.
         */
        BetweenAnswer: {
            /** Key */
            key: string;
            /** Kind */
            kind: string;
            /** Name */
            name: string;
            /** Leads */
            leads: components["schemas"]["LeadAnswer"][];
            /** Plugs */
            plugs: components["schemas"]["PlugAnswer"][];
            /** Cables */
            cables: string[];
            /** Wrong */
            wrong: string;
        };
        /**
         * Board
         * @description The board: main plug, processor sockets, extra sockets, slots, headers.
         */
        Board: {
            /** Key */
            key: string;
            /** Name */
            name: string;
            /**
             * Count
             * @default 1
             */
            count?: number;
            /**
             * Note
             * @default
             */
            note?: string;
            /**
             * In Box
             * @description what comes in its box beside itself
             * @default []
             */
            in_box?: (components["schemas"]["Adapter"] | components["schemas"]["Extension"] | components["schemas"]["Backplane"] | components["schemas"]["Bracket"] | components["schemas"]["LoosePart"])[];
            /**
             * Individual
             * @description which very thing it is: stays while its figures are edited; empty: not given
             * @default
             */
            individual?: string;
            /**
             * Exchanged
             * @description instances exchanged for another of the same make, once for each time
             * @default []
             */
            exchanged?: number[];
            /**
             * Catalogue
             * @description slug@revision of the catalogue entry that it was copied from, if any
             * @default
             */
            catalogue?: string;
            /**
             * Sockets
             * @default []
             */
            sockets?: components["schemas"]["Socket"][];
            /**
             * Sata Ports
             * @description SATA data ports
             */
            sata_ports?: number | null;
            /**
             * Usb2 Headers
             * @description internal USB 2 headers, 9-pin
             */
            usb2_headers?: number | null;
            /**
             * Usb3 Headers
             * @description internal USB 3 headers, 19-pin
             */
            usb3_headers?: number | null;
            /**
             * Usbc Headers
             * @description internal USB-C headers for the front
             */
            usbc_headers?: number | null;
            /**
             * Audio Headers
             * @description front audio headers
             */
            audio_headers?: number | null;
            /**
             * @description discriminator enum property added by openapi-typescript
             * @enum {string}
             */
            kind: "board";
            /** @description the board's own draw at 12 V, at full */
            own_12v_w?: components["schemas"]["Figure"] | null;
            /** @description the board's own draw at 5 V, at full */
            own_5v_w?: components["schemas"]["Figure"] | null;
            /** @description the board's own draw at 3.3 V, at full */
            own_3v3_w?: components["schemas"]["Figure"] | null;
            /** @description the board asleep, from 5 V standby */
            standby_w?: components["schemas"]["Figure"] | null;
            /**
             * Slots
             * @default []
             */
            slots?: components["schemas"]["Slot"][];
            /**
             * Headers
             * @default []
             */
            headers?: components["schemas"]["Header"][];
            /**
             * Manual allows a 4-pin processor plug in the 8-pin socket
             * @description the manual allows a 4-pin processor plug in the 8-pin socket
             * @default false
             */
            eps4_in_eps8?: boolean;
            /**
             * M2 Slots
             * @description M.2 slots; none: not known
             */
            m2_slots?: components["schemas"]["M2Slot"][] | null;
        };
        /**
         * BoardAnswer
         * @description One limit on what comes through the board: its pins, a slot, a header, a hub's output.
         */
        BoardAnswer: {
            /** Kind */
            kind: string;
            /** Title */
            title: string;
            /** Load */
            load: number;
            /** Limit */
            limit: number | null;
            /** Unit */
            unit: string;
            /** Share */
            share: number | null;
            /** Percent */
            percent: number | null;
            /**
             * Verdict
             * @enum {string}
             */
            verdict: "over" | "unknown" | "tight" | "within";
            /**
             * State
             * @enum {string}
             */
            state: "sleep" | "idle" | "everyday" | "full" | "start" | "short";
            /** Cause */
            cause: string;
            /** Fix */
            fix: string;
            /** Part */
            part: string;
            /** Field */
            field: string;
            /**
             * Usual
             * @enum {string}
             */
            usual: "" | "holds" | "breaks";
        };
        /**
         * Bounds
         * @description Low, likely and high of a default that the product assumes.
         */
        Bounds: {
            /** Low */
            low: number;
            /** Likely */
            likely: number;
            /** High */
            high: number;
        };
        /**
         * Bracket
         * @description Holds a supply of one form in a place for another.
         */
        Bracket: {
            /** Name */
            name: string;
            /**
             * Form
             * @description of the supply that it holds
             * @enum {string}
             */
            form: "ATX" | "SFX" | "SFX-L" | "TFX" | "Flex ATX";
            /**
             * Place
             * @description of the place that it goes into
             * @enum {string}
             */
            place: "ATX" | "SFX" | "SFX-L" | "TFX" | "Flex ATX";
            /**
             * Owned
             * @description the thing in the drawer that it is
             * @default
             */
            owned?: string;
            /**
             * Individual
             * @description which very thing it is: stays while its figures are edited; empty: not given
             * @default
             */
            individual?: string;
            /** @description that it is yet to be bought */
            to_buy?: components["schemas"]["ToBuy"] | null;
        };
        /**
         * Build
         * @description Everything that one build file holds. References are checked when it is made.
         *
         *     What is plugged into what is worked out in `wiring.Wired`, once; here things are looked up by
         *     their key only.
         */
        Build: {
            /**
             * Format
             * @default easy-tally-build
             * @constant
             */
            format?: "easy-tally-build";
            /**
             * Version
             * @default 2
             * @constant
             */
            version?: 2;
            /** Name */
            name: string;
            /**
             * Note
             * @default
             */
            note?: string;
            /**
             * @default {
             *       "chained_graphics": "by plug",
             *       "plug_grant": "limit",
             *       "graphics_cables": "one a socket",
             *       "drives": "fewest cables",
             *       "adapter_leads": "as the watts need",
             *       "headroom": 0.2,
             *       "little_short": "worth a look",
             *       "maker_floor": "keep",
             *       "spikes": "ride through",
             *       "straight_length": "maker",
             *       "supply_fan": "by the case",
             *       "adapter_16pin": "native first",
             *       "port_groups": "by what is known",
             *       "fans": "headers first",
             *       "card_first": "mount then plug",
             *       "small_leads": "before the cards",
             *       "first_in": "supply first"
             *     }
             */
            house_rules?: components["schemas"]["HouseRules"];
            /**
             * @default {
             *       "regulator_efficiency": 0.9,
             *       "regulator_efficiency_5v": 0.8,
             *       "processor_idle_w": {
             *         "high": 30,
             *         "likely": 15,
             *         "low": 8
             *       },
             *       "processor_short_ratio": {
             *         "high": 1.6,
             *         "likely": 1.25,
             *         "low": 1
             *       },
             *       "board_12v_w": {
             *         "high": 18,
             *         "likely": 12,
             *         "low": 8
             *       },
             *       "board_5v_w": {
             *         "high": 10,
             *         "likely": 6,
             *         "low": 3
             *       },
             *       "board_3v3_w": {
             *         "high": 10,
             *         "likely": 7,
             *         "low": 4
             *       },
             *       "board_idle_share": {
             *         "high": 0.9,
             *         "likely": 0.6,
             *         "low": 0.4
             *       },
             *       "card_idle_share": {
             *         "high": 0.12,
             *         "likely": 0.06,
             *         "low": 0.03
             *       },
             *       "slot_share_with_8pin_w": {
             *         "high": 66,
             *         "likely": 50,
             *         "low": 0
             *       },
             *       "slot_share_with_16pin_w": {
             *         "high": 66,
             *         "likely": 10,
             *         "low": 0
             *       },
             *       "memory_module_w": {
             *         "high": 8,
             *         "likely": 5,
             *         "low": 3
             *       },
             *       "memory_idle_share": {
             *         "high": 0.5,
             *         "likely": 0.3,
             *         "low": 0.2
             *       },
             *       "m2_w": {
             *         "high": 11,
             *         "likely": 7,
             *         "low": 4
             *       },
             *       "m2_idle_share": {
             *         "high": 0.3,
             *         "likely": 0.15,
             *         "low": 0.05
             *       },
             *       "disk35_12v_a": {
             *         "high": 0.8,
             *         "likely": 0.6,
             *         "low": 0.4
             *       },
             *       "disk35_5v_a": {
             *         "high": 0.9,
             *         "likely": 0.6,
             *         "low": 0.4
             *       },
             *       "disk35_start_12v_a": {
             *         "high": 2.6,
             *         "likely": 2,
             *         "low": 1.6
             *       },
             *       "disk35_start_5v_a": {
             *         "high": 1.3,
             *         "likely": 1,
             *         "low": 0.7
             *       },
             *       "disk35_idle_share": {
             *         "high": 1,
             *         "likely": 0.8,
             *         "low": 0.6
             *       },
             *       "drive25_5v_a": {
             *         "high": 1.2,
             *         "likely": 0.6,
             *         "low": 0.3
             *       },
             *       "drive25_idle_share": {
             *         "high": 0.5,
             *         "likely": 0.2,
             *         "low": 0.1
             *       },
             *       "fan_a": {
             *         "high": 0.4,
             *         "likely": 0.2,
             *         "low": 0.1
             *       },
             *       "optical_12v_a": {
             *         "high": 1.5,
             *         "likely": 1,
             *         "low": 0.5
             *       },
             *       "optical_5v_a": {
             *         "high": 1.3,
             *         "likely": 0.9,
             *         "low": 0.5
             *       },
             *       "floppy_12v_a": {
             *         "high": 0.5,
             *         "likely": 0.1,
             *         "low": 0
             *       },
             *       "floppy_5v_a": {
             *         "high": 0.8,
             *         "likely": 0.4,
             *         "low": 0.2
             *       },
             *       "pump_a": {
             *         "high": 1.5,
             *         "likely": 0.4,
             *         "low": 0.2
             *       },
             *       "strip_a": {
             *         "high": 2,
             *         "likely": 1,
             *         "low": 0.3
             *       },
             *       "controller_w": {
             *         "high": 3,
             *         "likely": 1,
             *         "low": 0.3
             *       },
             *       "lights_idle_share": {
             *         "high": 1,
             *         "likely": 0.8,
             *         "low": 0.3
             *       },
             *       "board_standby_w": {
             *         "high": 4,
             *         "likely": 2,
             *         "low": 0.8
             *       },
             *       "usb_asleep_w": {
             *         "high": 0.5,
             *         "likely": 0,
             *         "low": 0
             *       },
             *       "usb_idle_share": {
             *         "high": 0.5,
             *         "likely": 0.5,
             *         "low": 0.5
             *       },
             *       "fan_idle_share": {
             *         "high": 1,
             *         "likely": 0.35,
             *         "low": 0.1
             *       },
             *       "everyday_board": 0.7,
             *       "everyday_processor": 0.35,
             *       "everyday_card": 0.4,
             *       "everyday_memory": 0.5,
             *       "everyday_m2": 0.3,
             *       "everyday_drive": 0.5,
             *       "everyday_fan": 0.5,
             *       "everyday_lights": 1,
             *       "everyday_other": 0.5,
             *       "spike_card_0_1ms": 2,
             *       "spike_card_1ms": 1.7,
             *       "spike_card_10ms": 1.4,
             *       "spike_card_100ms": 1.15,
             *       "spike_sustained_0_1ms": 1.5,
             *       "spike_sustained_1ms": 1.3,
             *       "spike_sustained_10ms": 1.2,
             *       "spike_sustained_100ms": 1.1,
             *       "spike_short_0_1ms": 1.2,
             *       "spike_short_1ms": 1.1,
             *       "spike_short_10ms": 1,
             *       "spike_short_100ms": 1,
             *       "ride_classic_0_1ms": 1.3,
             *       "ride_classic_1ms": 1.2,
             *       "ride_classic_10ms": 1.1,
             *       "ride_classic_100ms": 1.05,
             *       "room_degc": 25,
             *       "plug_air_rise_degc": 15,
             *       "insulation_degc": 80,
             *       "worst_pin_16pin": 1.1,
             *       "start_factor": 1.5,
             *       "contact_mohm": 5,
             *       "bend_radius_mm": 10,
             *       "plug_stands_mm": 12,
             *       "plug_8pin_mm": 35,
             *       "air_rise_degc": 10,
             *       "fan_flow_share": 0.5,
             *       "wire_14awg_a": 17,
             *       "wire_16awg_a": 13,
             *       "wire_18awg_a": 10,
             *       "wire_20awg_a": 7.5,
             *       "wire_22awg_a": 5
             *     }
             */
            assumptions?: components["schemas"]["Assumptions"];
            /**
             * Spin Up At Once
             * @description disks that spin up at a time; none: all at once
             */
            spin_up_at_once?: number | null;
            /**
             * None Here
             * @description what the build is known not to have
             * @default []
             */
            none_here?: ("cooling" | "fans" | "storage" | "usb" | "pump" | "lights" | "second-lead" | "extras" | "front-panel")[];
            case?: components["schemas"]["Case"] | null;
            /**
             * @default {
             *       "mains_v": 230,
             *       "hours": {
             *         "everyday": 6,
             *         "full": 2,
             *         "idle": 2,
             *         "sleep": 14
             *       },
             *       "weekend": null,
             *       "begins_h": 8,
             *       "price_kwh": null,
             *       "tariff": [],
             *       "currency": "",
             *       "breaker_a": null,
             *       "other_w": 0,
             *       "ups_transfer_ms": null,
             *       "stands_on": null
             *     }
             */
            place?: components["schemas"]["Place"];
            /** @description by which the supply is mounted, if any */
            bracket?: components["schemas"]["Bracket"] | null;
            /**
             * Parts
             * @default []
             */
            parts?: (components["schemas"]["Processor"] | components["schemas"]["Board"] | components["schemas"]["Card"] | components["schemas"]["Memory"] | components["schemas"]["M2Drive"] | components["schemas"]["Drive"] | components["schemas"]["Fan"] | components["schemas"]["Pump"] | components["schemas"]["Cooler"] | components["schemas"]["LightStrip"] | components["schemas"]["Hub"] | components["schemas"]["UsbLoad"] | components["schemas"]["Other"])[];
            supply?: components["schemas"]["Supply"] | null;
            /**
             * Cables
             * @default []
             */
            cables?: components["schemas"]["Cable"][];
            /**
             * Adapters
             * @default []
             */
            adapters?: components["schemas"]["Adapter"][];
            /**
             * Extensions
             * @default []
             */
            extensions?: components["schemas"]["Extension"][];
            /**
             * Backplanes
             * @default []
             */
            backplanes?: components["schemas"]["Backplane"][];
            /**
             * Runs
             * @default []
             */
            runs?: components["schemas"]["Run"][];
        };
        /**
         * BuildOut
         * @description A build, whole, with its result. Of a variant: the build that it began as.
         */
        BuildOut: {
            /** Key */
            key: string;
            /** Version */
            version: number;
            /** Began As */
            began_as: string;
            /** Began Name */
            began_name: string;
            doc: components["schemas"]["Build"];
            result: components["schemas"]["Compact"];
            history: components["schemas"]["History"];
        };
        /**
         * BuyAnswer
         * @description A thing of the build that is yet to be bought; `price`: none where it is not known.
         */
        BuyAnswer: {
            /**
             * Of
             * @enum {string}
             */
            of: "supply" | "bracket" | "cable" | "between";
            /** Key */
            key: string;
            /** Name */
            name: string;
            /** Price */
            price: number | null;
        };
        /**
         * Buying
         * @description What is yet to be bought, the sum of what has a price, in a sentence too; `without`: how many
         *     have none.
         */
        Buying: {
            /** Items */
            items: components["schemas"]["BuyAnswer"][];
            /** Sum */
            sum: number;
            /** Without */
            without: number;
            /** Currency */
            currency: string;
            /** Text */
            text: string;
        };
        /**
         * Cable
         * @description A cable: modular, or fixed to the supply where `needs` is empty.
         */
        Cable: {
            /** Key */
            key: string;
            /** Name */
            name: string;
            /**
             * Note
             * @default
             */
            note?: string;
            /**
             * Family
             * @description pinout family
             */
            family: string;
            /**
             * Needs
             * @default []
             */
            needs?: ("board-a" | "board-b" | "processor" | "graphics" | "processor-graphics" | "16pin" | "drive")[];
            /**
             * @default {
             *       "circuits": 8,
             *       "pins": {
             *         "ground": 0,
             *         "v12": 0,
             *         "v3v3": 0,
             *         "v5": 0,
             *         "v5sb": 0
             *       },
             *       "grade": null
             *     }
             */
            supply_end?: components["schemas"]["SupplyEnd"];
            /** Gauge */
            gauge?: (14 | 16 | 18 | 20 | 22) | null;
            /**
             * @default {
             *       "v12": 0,
             *       "v5": 0,
             *       "v3v3": 0,
             *       "v5sb": 0,
             *       "ground": 0
             *     }
             */
            conductors?: components["schemas"]["RailPins"];
            /**
             * Insulation Degc
             * @description printed on the insulation
             */
            insulation_degc?: number | null;
            /** Plugs */
            plugs: components["schemas"]["Plug"][];
            /**
             * Owned
             * @description the thing in the drawer that it is
             * @default
             */
            owned?: string;
            /**
             * Individual
             * @description which very thing it is: stays while its figures are edited; empty: not given
             * @default
             */
            individual?: string;
            /** @description that it is yet to be bought */
            to_buy?: components["schemas"]["ToBuy"] | null;
        };
        /**
         * Card
         * @description A graphics or other card in a slot.
         */
        Card: {
            /** Key */
            key: string;
            /** Name */
            name: string;
            /**
             * Count
             * @default 1
             */
            count?: number;
            /**
             * Note
             * @default
             */
            note?: string;
            /**
             * In Box
             * @description what comes in its box beside itself
             * @default []
             */
            in_box?: (components["schemas"]["Adapter"] | components["schemas"]["Extension"] | components["schemas"]["Backplane"] | components["schemas"]["Bracket"] | components["schemas"]["LoosePart"])[];
            /**
             * Individual
             * @description which very thing it is: stays while its figures are edited; empty: not given
             * @default
             */
            individual?: string;
            /**
             * Exchanged
             * @description instances exchanged for another of the same make, once for each time
             * @default []
             */
            exchanged?: number[];
            /**
             * Catalogue
             * @description slug@revision of the catalogue entry that it was copied from, if any
             * @default
             */
            catalogue?: string;
            /**
             * Sockets
             * @default []
             */
            sockets?: components["schemas"]["Socket"][];
            /**
             * Sata Ports
             * @description SATA data ports
             */
            sata_ports?: number | null;
            /**
             * Usb2 Headers
             * @description internal USB 2 headers, 9-pin
             */
            usb2_headers?: number | null;
            /**
             * Usb3 Headers
             * @description internal USB 3 headers, 19-pin
             */
            usb3_headers?: number | null;
            /**
             * Usbc Headers
             * @description internal USB-C headers for the front
             */
            usbc_headers?: number | null;
            /**
             * Audio Headers
             * @description front audio headers
             */
            audio_headers?: number | null;
            /**
             * @description discriminator enum property added by openapi-typescript
             * @enum {string}
             */
            kind: "card";
            /** @description board power: all that the card draws */
            board_power_w?: components["schemas"]["Figure"] | null;
            /** @description what it takes from the slot at 12 V */
            slot_w?: components["schemas"]["Figure"] | null;
            /** @description the card at idle */
            idle_w?: components["schemas"]["Figure"] | null;
            /**
             * Spikes
             * @description which spike factors it gets
             * @default usual
             * @enum {string}
             */
            spikes?: "usual" | "by-standard worst";
            /**
             * Spike Factors
             * @description its own factors on board power at 0.1, 1, 10 and 100 ms
             */
            spike_factors?: number[] | null;
            /** @description the smallest supply that the card's maker states */
            system_floor_w?: components["schemas"]["Figure"] | null;
            /**
             * Kind of card
             * @description a graphics card spikes; a plain one (sound, network, capture) does not
             * @default graphics
             * @enum {string}
             */
            use?: "graphics" | "plain";
            /**
             * Lanes of its edge
             * @description lanes of its edge
             * @default 16
             * @enum {integer}
             */
            lanes?: 1 | 4 | 8 | 16;
            /**
             * Slot
             * @description the board's slot that it stands in
             */
            slot?: string | null;
            /**
             * Power limit
             * @description power limit set by the builder, 1 as delivered
             * @default 1
             */
            power_limit?: number;
            /**
             * M2 Slots
             * @description M.2 slots on the card
             */
            m2_slots?: number | null;
            /**
             * Length
             * @description its length, without the slot bracket
             */
            length_mm?: number | null;
            /**
             * Height above the slot
             * @description its height above the slot, without a plug
             */
            height_mm?: number | null;
            /**
             * Slot places
             * @description slot places that it covers
             */
            covers?: number | null;
            /**
             * A support for its weight
             * @description whether its weight asks for a support
             */
            support?: ("not needed" | "in the box" | "needed") | null;
            /**
             * Its plugs stand out to the
             * @description where its plugs stand out to
             * @default side panel
             * @enum {string}
             */
            plugs_face?: "side panel" | "front";
        };
        /**
         * Case
         * @description A case as its page and a tape measure describe it.
         */
        Case: {
            /** Name */
            name: string;
            /**
             * Note
             * @default
             */
            note?: string;
            /**
             * Slug
             * @description of the catalogue entry, if any
             * @default
             */
            slug?: string;
            /**
             * Size
             * @description how large it is: by it ways through it are taken that nobody measured
             */
            size?: ("small" | "mid" | "large") | null;
            /**
             * Supply Forms
             * @description forms of supply that it takes
             * @default []
             */
            supply_forms?: ("ATX" | "SFX" | "SFX-L" | "TFX" | "Flex ATX")[];
            /**
             * Brackets
             * @description forms that it takes by a bracket
             * @default []
             */
            brackets?: ("ATX" | "SFX" | "SFX-L" | "TFX" | "Flex ATX")[];
            /**
             * Supply Length Mm
             * @description room for the supply, its plugs included
             */
            supply_length_mm?: number | null;
            /**
             * Supply At
             * @description where the supply stands
             */
            supply_at?: ("bottom" | "top" | "front") | null;
            /**
             * Card Length Mm
             * @description room for a card's length, no radiator in front
             */
            card_length_mm?: number | null;
            /**
             * Card Height Mm
             * @description from the slot to the side panel
             */
            card_height_mm?: number | null;
            /**
             * Slots
             * @description places for slot brackets
             */
            slots?: number | null;
            /**
             * Bays 35
             * @description 3.5-inch bays
             */
            bays_35?: number | null;
            /**
             * Bays 25
             * @description 2.5-inch places
             */
            bays_25?: number | null;
            /**
             * Front Usb2
             * @description leads of its front panel for an internal USB 2 header, 9-pin
             */
            front_usb2?: number | null;
            /**
             * Front Usb3
             * @description leads of its front panel for an internal USB 3 header, 19-pin
             */
            front_usb3?: number | null;
            /**
             * Front Usbc
             * @description leads of its front panel for an internal USB-C header
             */
            front_usbc?: number | null;
            /**
             * Front Audio
             * @description leads of its front panel for a front audio header
             */
            front_audio?: number | null;
            /**
             * Feet Mm
             * @description room under its bottom
             */
            feet_mm?: number | null;
            /**
             * Vents
             * @default []
             */
            vents?: components["schemas"]["Vent"][];
            /**
             * Radiators
             * @description places for radiators; none: not known
             */
            radiators?: components["schemas"]["RadiatorPlace"][] | null;
            /**
             * Routes
             * @default []
             */
            routes?: components["schemas"]["Route"][];
            /**
             * In Box
             * @description what comes in its box beside itself
             * @default []
             */
            in_box?: (components["schemas"]["Adapter"] | components["schemas"]["Extension"] | components["schemas"]["Backplane"] | components["schemas"]["Bracket"] | components["schemas"]["LoosePart"])[];
            /**
             * Individual
             * @description which very thing it is: stays while its figures are edited; empty: not given
             * @default
             */
            individual?: string;
        };
        /**
         * ChangeBetween
         * @description Set some fields of an adapter, an extension or a backplane.
         */
        ChangeBetween: {
            /**
             * @description discriminator enum property added by openapi-typescript
             * @enum {string}
             */
            type: "change adapter";
            /** Key */
            key: string;
            /** Changes */
            changes: {
                [key: string]: unknown;
            };
            /**
             * Release
             * @description consent to unplug what the edit takes the ground from
             * @default false
             */
            release?: boolean;
        };
        /**
         * ChangeBuild
         * @description Set name, note, case, place, staggering, or single house rules and assumptions.
         */
        ChangeBuild: {
            /**
             * @description discriminator enum property added by openapi-typescript
             * @enum {string}
             */
            type: "change build";
            /**
             * Changes
             * @default {}
             */
            changes?: {
                [key: string]: unknown;
            };
            /**
             * House Rules
             * @default {}
             */
            house_rules?: {
                [key: string]: unknown;
            };
            /**
             * Assumptions
             * @default {}
             */
            assumptions?: {
                [key: string]: unknown;
            };
        };
        /**
         * ChangeCable
         * @description Set some fields of a cable.
         */
        ChangeCable: {
            /**
             * @description discriminator enum property added by openapi-typescript
             * @enum {string}
             */
            type: "change cable";
            /** Cable */
            cable: string;
            /** Changes */
            changes: {
                [key: string]: unknown;
            };
            /**
             * Release
             * @description consent to unplug what the edit takes the ground from
             * @default false
             */
            release?: boolean;
        };
        /**
         * ChangePart
         * @description Set some fields of a part.
         */
        ChangePart: {
            /**
             * @description discriminator enum property added by openapi-typescript
             * @enum {string}
             */
            type: "change part";
            /** Part */
            part: string;
            /** Changes */
            changes: {
                [key: string]: unknown;
            };
            /**
             * Release
             * @description consent to unplug what the edit takes the ground from
             * @default false
             */
            release?: boolean;
        };
        /**
         * ChangeSupply
         * @description Set some fields of the supply.
         */
        ChangeSupply: {
            /**
             * @description discriminator enum property added by openapi-typescript
             * @enum {string}
             */
            type: "change supply";
            /** Changes */
            changes: {
                [key: string]: unknown;
            };
            /**
             * Release
             * @description consent to unplug what the edit takes the ground from
             * @default false
             */
            release?: boolean;
        };
        /**
         * CheckAnswer
         * @description One check of a supply.
         */
        CheckAnswer: {
            /** Id */
            id: string;
            /**
             * Status
             * @enum {string}
             */
            status: "pass" | "warn" | "fail" | "unknown" | "not checked";
            /** Text */
            text: string;
            /** Load */
            load?: number | null;
            /** Limit */
            limit?: number | null;
            /**
             * Unit
             * @default
             */
            unit?: string;
            /** Rail */
            rail?: string | null;
            /** State */
            state?: ("sleep" | "idle" | "everyday" | "full" | "start" | "short") | null;
        };
        /**
         * CodeAt
         * @description What a 16-pin plug is coded for with so many leads plugged in.
         */
        CodeAt: {
            /** Leads */
            leads: number;
            /**
             * Watts
             * @enum {integer}
             */
            watts: 150 | 300 | 450 | 600;
        };
        /**
         * Compact
         * @description What every edit returns.
         */
        Compact: {
            /** Name */
            name: string;
            strip: components["schemas"]["Strip"];
            overall: components["schemas"]["Overall"];
            /** By Rail */
            by_rail: {
                [key: string]: components["schemas"]["Amounts"];
            };
            /** Rail Amps */
            rail_amps: {
                [key: string]: components["schemas"]["Amounts"];
            };
            /** By Path */
            by_path: {
                [key: string]: components["schemas"]["Amounts"];
            };
            /** Parts */
            parts: components["schemas"]["PartWatts"][];
            sizing: components["schemas"]["SizingAnswer"];
            supply: components["schemas"]["SupplyAnswer"] | null;
            /** Sockets */
            sockets: components["schemas"]["SocketAnswer"][];
            /** Lanes */
            lanes: components["schemas"]["Lane"][];
            /** Betweens */
            betweens: components["schemas"]["BetweenAnswer"][];
            /** Usual Mm */
            usual_mm: {
                [key: string]: {
                    [key: string]: number;
                };
            };
            /** At Hand */
            at_hand: components["schemas"]["AtHandAnswer"][];
            to_buy: components["schemas"]["Buying"];
            /** Through Board */
            through_board: components["schemas"]["BoardAnswer"][];
            moves_most: components["schemas"]["MoverAnswer"] | null;
            /** Mend */
            mend: components["schemas"]["Mend"][];
            /** Find Out */
            find_out: components["schemas"]["FindOutAnswer"][];
            /** Notes */
            notes: components["schemas"]["Mend"][];
            /** Not Checked */
            not_checked: string[];
            /** Signals */
            signals: components["schemas"]["SignalAnswer"][];
            /** Unspoken */
            unspoken: components["schemas"]["UnspokenAnswer"][];
        };
        /**
         * Connect
         * @description Put a plug into a socket. A plug in use moves; a plug already there parks. The cable goes
         *     into `ports`, or where it has none yet into the first free ones that take it.
         */
        Connect: {
            /**
             * @description discriminator enum property added by openapi-typescript
             * @enum {string}
             */
            type: "connect";
            /** Cable */
            cable: string;
            /** Plug */
            plug: string;
            socket: components["schemas"]["SocketRef"];
            /** Half */
            half?: ("whole" | "marked" | "loose") | null;
            /** Ports */
            ports?: string[] | null;
        };
        /**
         * Connection
         * @description A plug, or its marked half, in a socket.
         */
        Connection: {
            /** Plug */
            plug: string;
            /**
             * Half
             * @default whole
             * @enum {string}
             */
            half?: "whole" | "marked" | "loose";
            socket: components["schemas"]["SocketRef"];
        };
        /**
         * Cooler
         * @description A liquid cooler: pump, fans and controller as one.
         */
        Cooler: {
            /** Key */
            key: string;
            /** Name */
            name: string;
            /**
             * Count
             * @default 1
             */
            count?: number;
            /**
             * Note
             * @default
             */
            note?: string;
            /**
             * In Box
             * @description what comes in its box beside itself
             * @default []
             */
            in_box?: (components["schemas"]["Adapter"] | components["schemas"]["Extension"] | components["schemas"]["Backplane"] | components["schemas"]["Bracket"] | components["schemas"]["LoosePart"])[];
            /**
             * Individual
             * @description which very thing it is: stays while its figures are edited; empty: not given
             * @default
             */
            individual?: string;
            /**
             * Exchanged
             * @description instances exchanged for another of the same make, once for each time
             * @default []
             */
            exchanged?: number[];
            /**
             * Catalogue
             * @description slug@revision of the catalogue entry that it was copied from, if any
             * @default
             */
            catalogue?: string;
            /**
             * Sockets
             * @default []
             */
            sockets?: components["schemas"]["Socket"][];
            /**
             * On
             * @description the hub it hangs on; none: the board
             */
            on?: string | null;
            /**
             * Headers
             * @description headers used, in turn; none: all of its kind, in turn
             * @default []
             */
            headers?: string[];
            /**
             * @description discriminator enum property added by openapi-typescript
             * @enum {string}
             */
            kind: "cooler";
            /** @description its pump at 12 V */
            pump_a?: components["schemas"]["Figure"] | null;
            /**
             * Fans with it
             * @description fans that come with it
             * @default 2
             */
            fans?: number;
            /** @description one of its fans at 12 V */
            fan_a?: components["schemas"]["Figure"] | null;
            /** @description its controller and lights at 5 V */
            controller_w?: components["schemas"]["Figure"] | null;
            /**
             * Air that one moves
             * @description air that one of its fans moves at full speed, in the open
             */
            flow_m3h?: number | null;
            /**
             * Mounted at the
             * @description side of the case its radiator is on
             */
            side?: ("front" | "top" | "rear" | "bottom" | "left" | "right") | null;
            /**
             * Blows
             * @description whether its fans blow into the case or out
             */
            blows?: ("in" | "out") | null;
            /**
             * Radiator
             * @description its radiator, by its fans: 240, 280, 360; 0: it has none
             */
            radiator_mm?: number | null;
            /**
             * Thick, without fans
             * @description its radiator's thickness, without the fans
             */
            thick_mm?: number | null;
            /**
             * Lead for an internal USB header
             * @description whether its controller has a lead for an internal USB 2 header; none: not known
             */
            usb_lead?: boolean | null;
        };
        /**
         * Drive
         * @description A drive with a power socket of its own: 3.5- or 2.5-inch, optical, floppy.
         */
        Drive: {
            /** Key */
            key: string;
            /** Name */
            name: string;
            /**
             * Count
             * @default 1
             */
            count?: number;
            /**
             * Note
             * @default
             */
            note?: string;
            /**
             * In Box
             * @description what comes in its box beside itself
             * @default []
             */
            in_box?: (components["schemas"]["Adapter"] | components["schemas"]["Extension"] | components["schemas"]["Backplane"] | components["schemas"]["Bracket"] | components["schemas"]["LoosePart"])[];
            /**
             * Individual
             * @description which very thing it is: stays while its figures are edited; empty: not given
             * @default
             */
            individual?: string;
            /**
             * Exchanged
             * @description instances exchanged for another of the same make, once for each time
             * @default []
             */
            exchanged?: number[];
            /**
             * Catalogue
             * @description slug@revision of the catalogue entry that it was copied from, if any
             * @default
             */
            catalogue?: string;
            /**
             * Sockets
             * @default []
             */
            sockets?: components["schemas"]["Socket"][];
            /**
             * @description discriminator enum property added by openapi-typescript
             * @enum {string}
             */
            kind: "drive";
            /**
             * Form
             * @default 3.5
             * @enum {string}
             */
            form?: "3.5" | "2.5" | "optical" | "floppy";
            /** @description running, at 12 V */
            run_12v_a?: components["schemas"]["Figure"] | null;
            /** @description running, at 5 V */
            run_5v_a?: components["schemas"]["Figure"] | null;
            /** @description at spin-up, at 12 V: the label's peak */
            start_12v_a?: components["schemas"]["Figure"] | null;
            /** @description at spin-up, at 5 V */
            start_5v_a?: components["schemas"]["Figure"] | null;
            /**
             * Stays off where pin 3 carries 3.3 V
             * @description stays off where the third pin carries 3.3 V
             * @default false
             */
            power_disable?: boolean;
            /**
             * Its data goes
             * @description where its data goes; none: SATA, where its power plug is SATA
             */
            data?: ("sata" | "ribbon" | "expander") | null;
        };
        /**
         * EfficiencyPoint
         * @description What a supply converts at a share of its rating.
         */
        EfficiencyPoint: {
            /**
             * Share
             * @description share of the rating
             */
            share: number;
            /**
             * Value
             * @description efficiency
             */
            value: number;
        };
        /**
         * Exchange
         * @description Exchange a thing for another of the same make: it is called and plugged as before, but what
         *     was done to the old one was not done to it.
         */
        Exchange: {
            /**
             * @description discriminator enum property added by openapi-typescript
             * @enum {string}
             */
            type: "exchange";
            /**
             * Of
             * @enum {string}
             */
            of: "supply" | "case" | "bracket" | "part" | "cable" | "adapter" | "extension" | "backplane";
            /**
             * Key
             * @description of what there are several of
             */
            key?: string | null;
            /**
             * Instance
             * @description one of several alike
             */
            instance?: number | null;
        };
        /**
         * Extension
         * @description One lead and one plug of the same kind, wires between: its ends are standard, so it has no
         *     pinout family.
         */
        Extension: {
            /** Key */
            key: string;
            /** Name */
            name: string;
            /**
             * Note
             * @default
             */
            note?: string;
            /**
             * Kind
             * @enum {string}
             */
            kind: "atx20+4" | "atx24" | "atx20" | "aux6" | "eps4+4" | "eps8" | "eps4" | "pcie6+2" | "pcie8" | "pcie6" | "16pin" | "sata" | "per4" | "fdd4";
            /** Length Mm */
            length_mm?: number | null;
            /** Gauge */
            gauge?: (14 | 16 | 18 | 20 | 22) | null;
            /**
             * @default {
             *       "v12": 0,
             *       "v5": 0,
             *       "v3v3": 0,
             *       "v5sb": 0,
             *       "ground": 0
             *     }
             */
            conductors?: components["schemas"]["RailPins"];
            /**
             * Insulation Degc
             * @description printed on the insulation
             */
            insulation_degc?: number | null;
            /**
             * Owned
             * @description the thing in the drawer that it is
             * @default
             */
            owned?: string;
            /**
             * Individual
             * @description which very thing it is: stays while its figures are edited; empty: not given
             * @default
             */
            individual?: string;
            /** @description that it is yet to be bought */
            to_buy?: components["schemas"]["ToBuy"] | null;
            /**
             * Connections
             * @default []
             */
            connections?: components["schemas"]["Connection"][];
        };
        /**
         * Fan
         * @description Fans.
         */
        Fan: {
            /** Key */
            key: string;
            /** Name */
            name: string;
            /**
             * Count
             * @default 1
             */
            count?: number;
            /**
             * Note
             * @default
             */
            note?: string;
            /**
             * In Box
             * @description what comes in its box beside itself
             * @default []
             */
            in_box?: (components["schemas"]["Adapter"] | components["schemas"]["Extension"] | components["schemas"]["Backplane"] | components["schemas"]["Bracket"] | components["schemas"]["LoosePart"])[];
            /**
             * Individual
             * @description which very thing it is: stays while its figures are edited; empty: not given
             * @default
             */
            individual?: string;
            /**
             * Exchanged
             * @description instances exchanged for another of the same make, once for each time
             * @default []
             */
            exchanged?: number[];
            /**
             * Catalogue
             * @description slug@revision of the catalogue entry that it was copied from, if any
             * @default
             */
            catalogue?: string;
            /**
             * Sockets
             * @default []
             */
            sockets?: components["schemas"]["Socket"][];
            /**
             * On
             * @description the hub it hangs on; none: the board
             */
            on?: string | null;
            /**
             * Headers
             * @description headers used, in turn; none: all of its kind, in turn
             * @default []
             */
            headers?: string[];
            /**
             * @description discriminator enum property added by openapi-typescript
             * @enum {string}
             */
            kind: "fan";
            /**
             * Size
             * @default 120
             */
            size_mm?: number;
            /** @description rated current at 12 V */
            rated_a?: components["schemas"]["Figure"] | null;
            /**
             * Air that one moves
             * @description air that one of its fans moves at full speed, in the open
             */
            flow_m3h?: number | null;
            /**
             * Mounted at the
             * @description side of the case that it is on
             */
            side?: ("front" | "top" | "rear" | "bottom" | "left" | "right") | null;
            /**
             * Blows
             * @description whether its fans blow into the case or out
             */
            blows?: ("in" | "out") | null;
        };
        /**
         * Figure
         * @description What a builder knows of a quantity: bounds, and where it came from.
         */
        Figure: {
            /** Low */
            low: number;
            /** Likely */
            likely: number;
            /** High */
            high: number;
            /**
             * Origin
             * @default maker
             * @enum {string}
             */
            origin?: "maker" | "measured" | "assumed" | "simulated";
            /**
             * Note
             * @default
             */
            note?: string;
        };
        /**
         * FindOut
         * @description Set one figure that nobody had measured, of one thing or of several that are alike; `at`: of
         *     a plug, a header or an area. In the unit of the field.
         */
        FindOut: {
            /**
             * @description discriminator enum property added by openapi-typescript
             * @enum {string}
             */
            type: "find out";
            /**
             * Of
             * @enum {string}
             */
            of: "cable" | "adapter" | "extension" | "case" | "supply" | "part";
            /**
             * Keys
             * @default []
             */
            keys?: string[];
            /**
             * At
             * @default
             */
            at?: string;
            /**
             * Field
             * @enum {string}
             */
            field: "gauge" | "at_mm" | "length_mm" | "height_mm" | "routes" | "headers" | "outputs" | "flow_m3h" | "covers" | "card_length_mm" | "card_height_mm" | "supply_length_mm" | "slots" | "bays_35" | "bays_25";
            /** Value */
            value: number;
        };
        /**
         * FindOutAnswer
         * @description One thing to find out, ranked by what it settles; `where` it is printed or measured, `means`
         *     what each answer would mean. `subject` and `field` lead to its place.
         */
        FindOutAnswer: {
            /** Id */
            id: string;
            /**
             * Settles
             * @enum {string}
             */
            settles: "verdict" | "purchase";
            /** Title */
            title: string;
            /** Text */
            text: string;
            /** Where */
            where: string;
            /** Means */
            means: string;
            /**
             * Of
             * @enum {string}
             */
            of: "build" | "part" | "socket" | "cable" | "group" | "supply" | "case";
            /** Subject */
            subject: string;
            /** Field */
            field: string;
            /** Alike */
            alike: number;
            /**
             * Answers
             * @default []
             */
            answers?: components["schemas"]["FoundAnswer"][];
            /**
             * Remedies
             * @default []
             */
            remedies?: components["schemas"]["RemedyAnswer"][];
        };
        /**
         * FoundAnswer
         * @description What may be found: a value in the unit of its field, what it would mean, and the edit that
         *     says so. `how`: the value is the least, or the most, that means so.
         */
        FoundAnswer: {
            /** Label */
            label: string;
            /** Value */
            value: number;
            /** Unit */
            unit: string;
            /**
             * How
             * @enum {string}
             */
            how: "" | "at_least" | "at_most";
            /** Means */
            means: ("over" | "unknown" | "tight" | "within") | ("fits" | "may not fit" | "does not fit");
            /** Edit */
            edit?: (components["schemas"]["AddPart"] | components["schemas"]["AddParts"] | components["schemas"]["ChangePart"] | components["schemas"]["TakeEntry"] | components["schemas"]["RemovePart"] | components["schemas"]["ChangeBuild"] | components["schemas"]["TakeSupply"] | components["schemas"]["ChangeSupply"] | components["schemas"]["AddCable"] | components["schemas"]["ChangeCable"] | components["schemas"]["RemoveCable"] | components["schemas"]["AddBetween"] | components["schemas"]["Become"] | components["schemas"]["ChangeBetween"] | components["schemas"]["RemoveBetween"] | components["schemas"]["Connect"] | components["schemas"]["Exchange"] | components["schemas"]["FindOut"] | components["schemas"]["Park"] | components["schemas"]["Pin"] | components["schemas"]["PlugIn"] | components["schemas"]["SwapPlugs"] | components["schemas"]["TakeMap"] | components["schemas"]["Unplug"]) | null;
        };
        /**
         * Header
         * @description A power output on the board or on a hub; one for 5 V lights gives 5 V, the others 12 V.
         */
        Header: {
            /** Key */
            key: string;
            /**
             * Kind
             * @default fan
             * @enum {string}
             */
            kind?: "fan" | "pump" | "lights-5v" | "lights-12v";
            /** @description what the header gives at its volts */
            limit_a?: components["schemas"]["Figure"] | null;
            /**
             * Speed
             * @description whether the speed of what hangs on it is seen; none: usual
             */
            speed?: boolean | null;
        };
        /**
         * History
         * @description What undo and redo would do; None where there is nothing.
         */
        History: {
            /** Undo */
            undo: string | null;
            /** Redo */
            redo: string | null;
        };
        /**
         * Hours
         * @description Hours a day in each state; what is left of the day it is unplugged or switched off.
         */
        Hours: {
            /**
             * Sleep
             * @default 14
             */
            sleep?: number;
            /**
             * Idle
             * @default 2
             */
            idle?: number;
            /**
             * Everyday
             * @default 6
             */
            everyday?: number;
            /**
             * Full
             * @default 2
             */
            full?: number;
        };
        /**
         * HouseRules
         * @description Where good builders disagree: the positions this build is judged by.
         */
        HouseRules: {
            /**
             * Chained Graphics
             * @description both plugs of one chained graphics cable
             * @default by plug
             * @enum {string}
             */
            chained_graphics?: "never" | "by plug" | "as delivered" | "by pins";
            /**
             * Plug Grant
             * @description what a standard grants a graphics plug, beside its pins and wires
             * @default limit
             * @enum {string}
             */
            plug_grant?: "limit" | "warning";
            /**
             * Graphics Cables
             * @description single plugs before chained ones, or as few graphics cables as may be
             * @default one a socket
             * @enum {string}
             */
            graphics_cables?: "one a socket" | "fewest";
            /**
             * Drives
             * @description how a map spreads drives over cables
             * @default fewest cables
             * @enum {string}
             */
            drives?: "fewest cables" | "balanced" | "by place";
            /**
             * Adapter Leads
             * @description leads of an adapter in use
             * @default as the watts need
             * @enum {string}
             */
            adapter_leads?: "as the watts need" | "all";
            /**
             * Headroom
             * @description share added to the sustained load
             * @default 0.2
             */
            headroom?: number;
            /**
             * Little Short
             * @description a supply short of the headroom by less than a tenth of it
             * @default worth a look
             * @enum {string}
             */
            little_short?: "worth a look" | "not enough";
            /**
             * Maker Floor
             * @description the card maker's stated smallest supply
             * @default keep
             * @enum {string}
             */
            maker_floor?: "keep" | "keep and add a fifth" | "ignore";
            /**
             * Spikes
             * @description short spikes against what the supply's design rides through
             * @default ride through
             * @enum {string}
             */
            spikes?: "ride through" | "trust headroom";
            /**
             * Straight Length
             * @description straight length before a bend at a 16-pin plug
             * @default maker
             * @enum {string}
             */
            straight_length?: "maker" | "40 mm" | "35 mm";
            /**
             * Supply Fan
             * @description which way the supply's fan looks
             * @default by the case
             * @enum {string}
             */
            supply_fan?: "by the case" | "down" | "up";
            /**
             * Adapter 16Pin
             * @description a 16-pin socket fed by an adapter
             * @default native first
             * @enum {string}
             */
            adapter_16pin?: "native first" | "fine";
            /**
             * Port Groups
             * @description one device's cables in port groups
             * @default by what is known
             * @enum {string}
             */
            port_groups?: "by what is known" | "keep together" | "spread";
            /**
             * Fans
             * @description where fans hang
             * @default headers first
             * @enum {string}
             */
            fans?: "headers first" | "on a hub";
            /**
             * Card First
             * @description a card, and then its cable
             * @default mount then plug
             * @enum {string}
             */
            card_first?: "mount then plug" | "plug then mount";
            /**
             * Small Leads
             * @description small leads of the front panel and of data, before the cards or last
             * @default before the cards
             * @enum {string}
             */
            small_leads?: "before the cards" | "last";
            /**
             * First In
             * @description which of the two goes into the case first
             * @default supply first
             * @enum {string}
             */
            first_in?: "supply first" | "board first";
        };
        /**
         * Hub
         * @description A fan or light controller: what hangs on it comes through its own socket, or at 12 V
         *     through a header.
         */
        Hub: {
            /** Key */
            key: string;
            /** Name */
            name: string;
            /**
             * Count
             * @default 1
             */
            count?: number;
            /**
             * Note
             * @default
             */
            note?: string;
            /**
             * In Box
             * @description what comes in its box beside itself
             * @default []
             */
            in_box?: (components["schemas"]["Adapter"] | components["schemas"]["Extension"] | components["schemas"]["Backplane"] | components["schemas"]["Bracket"] | components["schemas"]["LoosePart"])[];
            /**
             * Individual
             * @description which very thing it is: stays while its figures are edited; empty: not given
             * @default
             */
            individual?: string;
            /**
             * Exchanged
             * @description instances exchanged for another of the same make, once for each time
             * @default []
             */
            exchanged?: number[];
            /**
             * Catalogue
             * @description slug@revision of the catalogue entry that it was copied from, if any
             * @default
             */
            catalogue?: string;
            /**
             * Sockets
             * @default []
             */
            sockets?: components["schemas"]["Socket"][];
            /**
             * On
             * @description the hub it hangs on; none: the board
             */
            on?: string | null;
            /**
             * Headers
             * @description headers used, in turn; none: all of its kind, in turn
             * @default []
             */
            headers?: string[];
            /**
             * @description discriminator enum property added by openapi-typescript
             * @enum {string}
             */
            kind: "hub";
            /** @description its own draw at 5 V */
            own_w?: components["schemas"]["Figure"] | null;
            /**
             * Outputs
             * @default []
             */
            outputs?: components["schemas"]["Header"][];
            /**
             * Lead for an internal USB header
             * @description whether its controller has a lead for an internal USB 2 header; none: not known
             */
            usb_lead?: boolean | null;
        };
        /**
         * Lane
         * @description One cable in its ports: verdict, governing element in words, profile, plugs.
         */
        Lane: {
            /** Cable */
            cable: string;
            /** Name */
            name: string;
            /** Ports */
            ports: string[];
            /** Port Labels */
            port_labels: string[];
            /**
             * Verdict
             * @enum {string}
             */
            verdict: "over" | "unknown" | "tight" | "within";
            /** Percent */
            percent: number | null;
            /** Refused */
            refused: boolean;
            /** Cause */
            cause: string;
            /** Steps */
            steps: components["schemas"]["StepAnswer"][];
            /** Plugs */
            plugs: components["schemas"]["PlugAnswer"][];
            /** Onward */
            onward: components["schemas"]["OnwardAnswer"][];
            /** Pinned */
            pinned: boolean;
            /** Usual */
            usual: boolean;
        };
        /**
         * Lead
         * @description An input of an adapter.
         */
        Lead: {
            /** Key */
            key: string;
            /**
             * Kind
             * @enum {string}
             */
            kind: "pcie8" | "pcie6" | "per4" | "sata" | "fdd4";
            /** Pins 12V */
            pins_12v?: number | null;
        };
        /**
         * LeadAnswer
         * @description A lead of something in between: its input, and the cable that feeds it.
         */
        LeadAnswer: {
            /** Ref */
            ref: string;
            /** Kind */
            kind: string;
            /** Kind Words */
            kind_words: string;
            /** Words */
            words: string;
            /** Fed By */
            fed_by: string;
            /** Cable */
            cable: string | null;
        };
        /**
         * LightStrip
         * @description A light strip at 5 V or 12 V.
         */
        LightStrip: {
            /** Key */
            key: string;
            /** Name */
            name: string;
            /**
             * Count
             * @default 1
             */
            count?: number;
            /**
             * Note
             * @default
             */
            note?: string;
            /**
             * In Box
             * @description what comes in its box beside itself
             * @default []
             */
            in_box?: (components["schemas"]["Adapter"] | components["schemas"]["Extension"] | components["schemas"]["Backplane"] | components["schemas"]["Bracket"] | components["schemas"]["LoosePart"])[];
            /**
             * Individual
             * @description which very thing it is: stays while its figures are edited; empty: not given
             * @default
             */
            individual?: string;
            /**
             * Exchanged
             * @description instances exchanged for another of the same make, once for each time
             * @default []
             */
            exchanged?: number[];
            /**
             * Catalogue
             * @description slug@revision of the catalogue entry that it was copied from, if any
             * @default
             */
            catalogue?: string;
            /**
             * Sockets
             * @default []
             */
            sockets?: components["schemas"]["Socket"][];
            /**
             * On
             * @description the hub it hangs on; none: the board
             */
            on?: string | null;
            /**
             * Headers
             * @description headers used, in turn; none: all of its kind, in turn
             * @default []
             */
            headers?: string[];
            /**
             * @description discriminator enum property added by openapi-typescript
             * @enum {string}
             */
            kind: "strip";
            /**
             * Volts
             * @default 5
             * @enum {integer}
             */
            volts?: 5 | 12;
            /** @description all lights on, at its volts */
            rated_a?: components["schemas"]["Figure"] | null;
        };
        /**
         * LoosePart
         * @description Fans, a hub, or a support that lie in a box.
         */
        LoosePart: {
            /**
             * Kind
             * @enum {string}
             */
            kind: "fan" | "hub" | "support";
            /** Name */
            name: string;
            /**
             * Count
             * @default 1
             */
            count?: number;
            /**
             * Size Mm
             * @description of fans
             */
            size_mm?: number | null;
            /**
             * Outputs
             * @description of a hub, for fans
             */
            outputs?: number | null;
        };
        /**
         * M2Drive
         * @description A drive in the board's M.2 slot.
         */
        M2Drive: {
            /** Key */
            key: string;
            /** Name */
            name: string;
            /**
             * Count
             * @default 1
             */
            count?: number;
            /**
             * Note
             * @default
             */
            note?: string;
            /**
             * In Box
             * @description what comes in its box beside itself
             * @default []
             */
            in_box?: (components["schemas"]["Adapter"] | components["schemas"]["Extension"] | components["schemas"]["Backplane"] | components["schemas"]["Bracket"] | components["schemas"]["LoosePart"])[];
            /**
             * Individual
             * @description which very thing it is: stays while its figures are edited; empty: not given
             * @default
             */
            individual?: string;
            /**
             * Exchanged
             * @description instances exchanged for another of the same make, once for each time
             * @default []
             */
            exchanged?: number[];
            /**
             * Catalogue
             * @description slug@revision of the catalogue entry that it was copied from, if any
             * @default
             */
            catalogue?: string;
            /**
             * @description discriminator enum property added by openapi-typescript
             * @enum {string}
             */
            kind: "m2";
            /** @description at full */
            full_w?: components["schemas"]["Figure"] | null;
            /** @description at idle */
            idle_w?: components["schemas"]["Figure"] | null;
            /**
             * Slot
             * @description the board's M.2 slot that it is in
             */
            slot?: string | null;
        };
        /**
         * M2Slot
         * @description An M.2 slot on the board, and the SATA data ports that go dead once a drive is in it.
         */
        M2Slot: {
            /** Key */
            key: string;
            /**
             * Off
             * @description numbers of the SATA data ports that it switches off
             * @default []
             */
            off?: number[];
        };
        /**
         * Memory
         * @description Memory modules; the count is of modules.
         */
        Memory: {
            /** Key */
            key: string;
            /** Name */
            name: string;
            /**
             * Count
             * @default 1
             */
            count?: number;
            /**
             * Note
             * @default
             */
            note?: string;
            /**
             * In Box
             * @description what comes in its box beside itself
             * @default []
             */
            in_box?: (components["schemas"]["Adapter"] | components["schemas"]["Extension"] | components["schemas"]["Backplane"] | components["schemas"]["Bracket"] | components["schemas"]["LoosePart"])[];
            /**
             * Individual
             * @description which very thing it is: stays while its figures are edited; empty: not given
             * @default
             */
            individual?: string;
            /**
             * Exchanged
             * @description instances exchanged for another of the same make, once for each time
             * @default []
             */
            exchanged?: number[];
            /**
             * Catalogue
             * @description slug@revision of the catalogue entry that it was copied from, if any
             * @default
             */
            catalogue?: string;
            /**
             * @description discriminator enum property added by openapi-typescript
             * @enum {string}
             */
            kind: "memory";
            /**
             * Generation
             * @default ddr5
             * @enum {string}
             */
            generation?: "ddr5" | "ddr5-registered" | "ddr4" | "ddr3";
            /** @description one module at full */
            module_w?: components["schemas"]["Figure"] | null;
        };
        /**
         * Mend
         * @description A finding in words: a sentence with its numbers, what would mend it, what it is about. `of`
         *     and `subject` name a thing of the build, `field` the field of it.
         */
        Mend: {
            /** Id */
            id: string;
            /**
             * Kind
             * @enum {string}
             */
            kind: "over" | "refused" | "failed" | "unfed" | "unknown" | "tight" | "warn" | "note";
            /** Title */
            title: string;
            /** Text */
            text: string;
            /** Fix */
            fix: string;
            /**
             * Of
             * @enum {string}
             */
            of: "build" | "part" | "socket" | "cable" | "group" | "supply" | "case";
            /** Subject */
            subject: string;
            /** Field */
            field: string;
            /**
             * Remedies
             * @default []
             */
            remedies?: components["schemas"]["RemedyAnswer"][];
        };
        /**
         * MoverAnswer
         * @description The figure that moves the total most, in words, with the part and field to find it out.
         */
        MoverAnswer: {
            /** Text */
            text: string;
            /** Part */
            part: string;
            /** Field */
            field: string;
        };
        /**
         * Numbers
         * @description A number in each state in which a run is judged.
         */
        Numbers: {
            /** Idle */
            idle: number;
            /** Everyday */
            everyday: number;
            /** Full */
            full: number;
            /** Start */
            start: number;
        };
        /**
         * OnwardAnswer
         * @description A plug of something in between, on the way of a run: from where to where along the whole
         *     way [mm].
         */
        OnwardAnswer: {
            /** Between */
            between: string;
            /** Name */
            name: string;
            /** Kind */
            kind: string;
            /** From Mm */
            from_mm: number;
            /** To Mm */
            to_mm: number;
            plug: components["schemas"]["PlugAnswer"];
        };
        /**
         * Other
         * @description Anything else, by rail: what it draws through its own socket, or through the board.
         */
        Other: {
            /** Key */
            key: string;
            /** Name */
            name: string;
            /**
             * Count
             * @default 1
             */
            count?: number;
            /**
             * Note
             * @default
             */
            note?: string;
            /**
             * In Box
             * @description what comes in its box beside itself
             * @default []
             */
            in_box?: (components["schemas"]["Adapter"] | components["schemas"]["Extension"] | components["schemas"]["Backplane"] | components["schemas"]["Bracket"] | components["schemas"]["LoosePart"])[];
            /**
             * Individual
             * @description which very thing it is: stays while its figures are edited; empty: not given
             * @default
             */
            individual?: string;
            /**
             * Exchanged
             * @description instances exchanged for another of the same make, once for each time
             * @default []
             */
            exchanged?: number[];
            /**
             * Catalogue
             * @description slug@revision of the catalogue entry that it was copied from, if any
             * @default
             */
            catalogue?: string;
            /**
             * Sockets
             * @default []
             */
            sockets?: components["schemas"]["Socket"][];
            /**
             * @description discriminator enum property added by openapi-typescript
             * @enum {string}
             */
            kind: "other";
            /** @description at 12 V */
            v12_w?: components["schemas"]["Figure"] | null;
            /** @description at 5 V */
            v5_w?: components["schemas"]["Figure"] | null;
            /** @description at 3.3 V */
            v3v3_w?: components["schemas"]["Figure"] | null;
            /** @description at 5 V standby, asleep too */
            v5sb_w?: components["schemas"]["Figure"] | null;
            /** @description at −12 V */
            vneg12_w?: components["schemas"]["Figure"] | null;
            /** @description at −5 V */
            vneg5_w?: components["schemas"]["Figure"] | null;
            /**
             * Idle, as a share of full
             * @description idle as a share of full
             * @default 0.5
             */
            idle_share?: number;
        };
        /**
         * Park
         * @description Pull a plug out of its socket; the cable stays in its ports.
         */
        Park: {
            /**
             * @description discriminator enum property added by openapi-typescript
             * @enum {string}
             */
            type: "park";
            /** Cable */
            cable: string;
            /** Plug */
            plug: string;
        };
        /**
         * PartWatts
         * @description One part's watts [W] in one column (path), all instances, per state.
         */
        PartWatts: {
            /** Part */
            part: string;
            /** Path */
            path: string;
            watts: components["schemas"]["Amounts"];
            /** Assumed */
            assumed: boolean;
        };
        /**
         * Percents
         * @description A share in whole percents in each state; None where it is not known.
         */
        Percents: {
            /** Sleep */
            sleep: number | null;
            /** Idle */
            idle: number | null;
            /** Everyday */
            everyday: number | null;
            /** Full */
            full: number | null;
            /** Start */
            start: number | null;
            /** Short */
            short: number | null;
        };
        /**
         * Pin
         * @description Keep a run as it is when the rest is mapped, or let it go.
         */
        Pin: {
            /**
             * @description discriminator enum property added by openapi-typescript
             * @enum {string}
             */
            type: "pin";
            /** Cable */
            cable: string;
            /**
             * Pinned
             * @default true
             */
            pinned?: boolean;
        };
        /**
         * Place
         * @description Where a build stands.
         */
        Place: {
            /**
             * Mains V
             * @description mains voltage
             * @default 230
             * @enum {integer}
             */
            mains_v?: 115 | 230;
            /**
             * @default {
             *       "sleep": 14,
             *       "idle": 2,
             *       "everyday": 6,
             *       "full": 2
             *     }
             */
            hours?: components["schemas"]["Hours"];
            /** @description hours on Saturday and Sunday; none: as on other days */
            weekend?: components["schemas"]["Hours"] | null;
            /**
             * Begins H
             * @description when a day's work begins: everyday use, then full, idle, asleep, off
             * @default 8
             */
            begins_h?: number;
            /**
             * Price Kwh
             * @description price of a kilowatt-hour, as written on the bill
             */
            price_kwh?: number | null;
            /**
             * Tariff
             * @description prices by time of use, the whole week; none: one price
             * @default []
             */
            tariff?: components["schemas"]["Band"][];
            /**
             * Currency
             * @description as written on the bill
             * @default
             */
            currency?: string;
            /**
             * Breaker A
             * @description breaker of the circuit
             */
            breaker_a?: number | null;
            /**
             * Other W
             * @description what else hangs on the circuit
             * @default 0
             */
            other_w?: number;
            /**
             * Ups Transfer Ms
             * @description time that a UPS takes to step in
             */
            ups_transfer_ms?: number | null;
            /**
             * Stands On
             * @description what it stands on
             */
            stands_on?: ("table" | "hard floor" | "carpet") | null;
        };
        /**
         * Plug
         * @description A plug at its place along the cable.
         */
        Plug: {
            /** Key */
            key: string;
            /**
             * Kind
             * @enum {string}
             */
            kind: "atx20+4" | "atx24" | "atx20" | "aux6" | "eps4+4" | "eps8" | "eps4" | "pcie6+2" | "pcie8" | "pcie6" | "16pin" | "sata" | "per4" | "fdd4";
            /**
             * At Mm
             * @description from the supply; none: not measured
             */
            at_mm?: number | null;
            /** Grade */
            grade?: ("standard" | "high") | null;
            /** Pins 12V */
            pins_12v?: number | null;
            /**
             * Contact A
             * @description maker's given for one contact
             */
            contact_a?: number | null;
            /**
             * Sense
             * @description coding of a 16-pin plug
             */
            sense?: ("both_grounded" | "sense1_grounded" | "sense0_grounded" | "joined" | "open") | null;
            /**
             * Straight Mm
             * @description straight length before a bend
             */
            straight_mm?: number | null;
            /**
             * Matings
             * @description times it was plugged in
             * @default 0
             */
            matings?: number;
        };
        /**
         * PlugAnswer
         * @description A plug at its place; `socket` is empty where it is parked. `tag` is short for `feeds`.
         */
        PlugAnswer: {
            /** Key */
            key: string;
            /** Kind */
            kind: string;
            /** Face */
            face: string;
            /** At Mm */
            at_mm: number;
            /** Half */
            half: string;
            /** Socket */
            socket: string;
            /** Feeds */
            feeds: string;
            /** Tag */
            tag: string;
            /** Warning */
            warning: string;
            /** Safety */
            safety: number | null;
        };
        /**
         * PlugIn
         * @description Put the supply end of a cable into ports, or into others.
         */
        PlugIn: {
            /**
             * @description discriminator enum property added by openapi-typescript
             * @enum {string}
             */
            type: "plug in";
            /** Cable */
            cable: string;
            /** Ports */
            ports?: string[] | null;
        };
        /**
         * Port
         * @description A socket on the supply's panel.
         */
        Port: {
            /** Key */
            key: string;
            /** Label */
            label: string;
            /**
             * Kind
             * @enum {string}
             */
            kind: "board-a" | "board-b" | "processor" | "graphics" | "processor-graphics" | "16pin" | "drive";
            /**
             * Row
             * @default 0
             */
            row?: number;
            /**
             * Column
             * @default 0
             */
            column?: number;
            /**
             * Circuits
             * @default 8
             */
            circuits?: number;
            /**
             * Pins 12V
             * @default 3
             */
            pins_12v?: number;
            /** Group */
            group?: string | null;
        };
        /**
         * PortGroup
         * @description Ports that share one over-current limit.
         */
        PortGroup: {
            /** Key */
            key: string;
            /** Label */
            label: string;
            /**
             * Limit A
             * @description over-current limit at 12 V
             */
            limit_a?: number | null;
        };
        /**
         * Processor
         * @description Fed through the board's processor sockets.
         */
        Processor: {
            /** Key */
            key: string;
            /** Name */
            name: string;
            /**
             * Count
             * @default 1
             */
            count?: number;
            /**
             * Note
             * @default
             */
            note?: string;
            /**
             * In Box
             * @description what comes in its box beside itself
             * @default []
             */
            in_box?: (components["schemas"]["Adapter"] | components["schemas"]["Extension"] | components["schemas"]["Backplane"] | components["schemas"]["Bracket"] | components["schemas"]["LoosePart"])[];
            /**
             * Individual
             * @description which very thing it is: stays while its figures are edited; empty: not given
             * @default
             */
            individual?: string;
            /**
             * Exchanged
             * @description instances exchanged for another of the same make, once for each time
             * @default []
             */
            exchanged?: number[];
            /**
             * Catalogue
             * @description slug@revision of the catalogue entry that it was copied from, if any
             * @default
             */
            catalogue?: string;
            /**
             * @description discriminator enum property added by openapi-typescript
             * @enum {string}
             */
            kind: "processor";
            /** @description package limit, sustained: the figure on the page */
            package_w?: components["schemas"]["Figure"] | null;
            /** @description package limit for the short time, tens of seconds */
            package_short_w?: components["schemas"]["Figure"] | null;
            /** @description package at idle */
            package_idle_w?: components["schemas"]["Figure"] | null;
            /**
             * Spike Factors
             * @description its own factors on its sustained load at 0.1, 1, 10 and 100 ms
             */
            spike_factors?: number[] | null;
        };
        /**
         * Pump
         * @description A pump by itself.
         */
        Pump: {
            /** Key */
            key: string;
            /** Name */
            name: string;
            /**
             * Count
             * @default 1
             */
            count?: number;
            /**
             * Note
             * @default
             */
            note?: string;
            /**
             * In Box
             * @description what comes in its box beside itself
             * @default []
             */
            in_box?: (components["schemas"]["Adapter"] | components["schemas"]["Extension"] | components["schemas"]["Backplane"] | components["schemas"]["Bracket"] | components["schemas"]["LoosePart"])[];
            /**
             * Individual
             * @description which very thing it is: stays while its figures are edited; empty: not given
             * @default
             */
            individual?: string;
            /**
             * Exchanged
             * @description instances exchanged for another of the same make, once for each time
             * @default []
             */
            exchanged?: number[];
            /**
             * Catalogue
             * @description slug@revision of the catalogue entry that it was copied from, if any
             * @default
             */
            catalogue?: string;
            /**
             * Sockets
             * @default []
             */
            sockets?: components["schemas"]["Socket"][];
            /**
             * On
             * @description the hub it hangs on; none: the board
             */
            on?: string | null;
            /**
             * Headers
             * @description headers used, in turn; none: all of its kind, in turn
             * @default []
             */
            headers?: string[];
            /**
             * @description discriminator enum property added by openapi-typescript
             * @enum {string}
             */
            kind: "pump";
            /** @description rated current at 12 V */
            rated_a?: components["schemas"]["Figure"] | null;
        };
        /**
         * RadiatorPlace
         * @description A place for a radiator.
         */
        RadiatorPlace: {
            /**
             * Side
             * @enum {string}
             */
            side: "front" | "top" | "rear" | "bottom" | "left" | "right";
            /**
             * Up To Mm
             * @description the largest radiator, by its fans
             */
            up_to_mm: number;
            /**
             * Room Mm
             * @description room for the radiator with its fans
             */
            room_mm?: number | null;
        };
        /**
         * RailPins
         * @description Pins or conductors per rail.
         */
        RailPins: {
            /**
             * V12
             * @default 0
             */
            v12?: number;
            /**
             * V5
             * @default 0
             */
            v5?: number;
            /**
             * V3V3
             * @default 0
             */
            v3v3?: number;
            /**
             * V5Sb
             * @default 0
             */
            v5sb?: number;
            /**
             * Ground
             * @default 0
             */
            ground?: number;
        };
        /**
         * RemedyAnswer
         * @description A way to mend, in words; `edit` is an edit that does it, as it is posted, where there is
         *     one.
         */
        RemedyAnswer: {
            /** Id */
            id: string;
            /** Text */
            text: string;
            /** Edit */
            edit?: (components["schemas"]["AddPart"] | components["schemas"]["AddParts"] | components["schemas"]["ChangePart"] | components["schemas"]["TakeEntry"] | components["schemas"]["RemovePart"] | components["schemas"]["ChangeBuild"] | components["schemas"]["TakeSupply"] | components["schemas"]["ChangeSupply"] | components["schemas"]["AddCable"] | components["schemas"]["ChangeCable"] | components["schemas"]["RemoveCable"] | components["schemas"]["AddBetween"] | components["schemas"]["Become"] | components["schemas"]["ChangeBetween"] | components["schemas"]["RemoveBetween"] | components["schemas"]["Connect"] | components["schemas"]["Exchange"] | components["schemas"]["FindOut"] | components["schemas"]["Park"] | components["schemas"]["Pin"] | components["schemas"]["PlugIn"] | components["schemas"]["SwapPlugs"] | components["schemas"]["TakeMap"] | components["schemas"]["Unplug"]) | null;
        };
        /**
         * RemoveBetween
         * @description Take an adapter, an extension or a backplane out.
         */
        RemoveBetween: {
            /**
             * @description discriminator enum property added by openapi-typescript
             * @enum {string}
             */
            type: "remove adapter";
            /** Key */
            key: string;
            /**
             * Release
             * @description consent to unplug what the edit takes the ground from
             * @default false
             */
            release?: boolean;
        };
        /**
         * RemoveCable
         * @description Take a cable out of the bag.
         */
        RemoveCable: {
            /**
             * @description discriminator enum property added by openapi-typescript
             * @enum {string}
             */
            type: "remove cable";
            /** Cable */
            cable: string;
            /**
             * Release
             * @description consent to unplug what the edit takes the ground from
             * @default false
             */
            release?: boolean;
        };
        /**
         * RemovePart
         * @description Take a part out.
         */
        RemovePart: {
            /**
             * @description discriminator enum property added by openapi-typescript
             * @enum {string}
             */
            type: "remove part";
            /** Part */
            part: string;
            /**
             * Release
             * @description consent to unplug what the edit takes the ground from
             * @default false
             */
            release?: boolean;
        };
        /**
         * RideAnswer
         * @description Spikes in one window [W], in all and at 12 V, beside what the supply rides through [W]; None
         *     where that is not known.
         */
        RideAnswer: {
            /**
             * Window
             * @enum {string}
             */
            window: "0.1" | "1" | "10" | "100";
            watts: components["schemas"]["Amount"];
            /** Rides */
            rides: number | null;
            /** Holds */
            holds: boolean | null;
            v12_watts: components["schemas"]["Amount"];
            /** V12 Rides */
            v12_rides: number | null;
            /** V12 Holds */
            v12_holds: boolean | null;
            worst?: components["schemas"]["Amount"] | null;
            /** Worst Holds */
            worst_holds?: boolean | null;
            v12_worst?: components["schemas"]["Amount"] | null;
            /** V12 Worst Holds */
            v12_worst_holds?: boolean | null;
        };
        /**
         * Route
         * @description The way of a cable from the supply's place to an area, around the corners.
         */
        Route: {
            /**
             * Area
             * @enum {string}
             */
            area: "main plug" | "processor" | "card" | "board extra" | "3.5-inch bays" | "2.5-inch places" | "optical bay" | "fans and hubs";
            /** Length Mm */
            length_mm: number;
        };
        /**
         * RuleAnswer
         * @description What one sizing rule asks for.
         */
        RuleAnswer: {
            /** Id */
            id: string;
            /** Words */
            words: string;
            watts: components["schemas"]["Amount"] | null;
            /** Binding */
            binding: boolean;
            /** Governs */
            governs: boolean;
            /** Missing */
            missing: string[];
        };
        /**
         * Run
         * @description One cable in its ports, with what its plugs feed; a plug not named is parked.
         */
        Run: {
            /** Cable */
            cable: string;
            /**
             * Ports
             * @default []
             */
            ports?: string[];
            /**
             * Connections
             * @default []
             */
            connections?: components["schemas"]["Connection"][];
            /**
             * Pinned
             * @description mapping leaves its ports and connections as they are
             * @default false
             */
            pinned?: boolean;
        };
        /**
         * SignalAnswer
         * @description Signal ports of one kind: how many are needed and there, at least and at most (None: nobody
         *     knows), who needs them, and the board's field that says how many it has.
         */
        SignalAnswer: {
            /**
             * Kind
             * @enum {string}
             */
            kind: "sata" | "m2" | "usb2" | "usb3" | "usb-c" | "audio";
            /** Words */
            words: string;
            /** Field */
            field: string;
            /** Needed */
            needed: number;
            /** Needed Most */
            needed_most: number | null;
            /** There */
            there: number;
            /** There Most */
            there_most: number | null;
            /**
             * Verdict
             * @enum {string}
             */
            verdict: "enough" | "short" | "unknown";
            /** Needed By */
            needed_by: string;
        };
        /**
         * SizingAnswer
         * @description The sizing rules, what is needed [W], and the next common size.
         */
        SizingAnswer: {
            /** Rules */
            rules: components["schemas"]["RuleAnswer"][];
            needed: components["schemas"]["Amount"] | null;
            /** At Least W */
            at_least_w: number;
            /** Pick W */
            pick_w: number | null;
        };
        /**
         * Slot
         * @description A slot on the board, by its wired lanes.
         */
        Slot: {
            /** Key */
            key: string;
            /**
             * Lanes
             * @default 16
             * @enum {integer}
             */
            lanes?: 1 | 4 | 8 | 16;
            /**
             * Fed By
             * @description the board's socket that feeds it at 12 V, where the manual says so
             */
            fed_by?: string | null;
            /**
             * Place
             * @description the case's slot place that it lies behind, 1 the topmost
             */
            place?: number | null;
        };
        /**
         * Socket
         * @description A power input on a part.
         */
        Socket: {
            /** Key */
            key: string;
            /**
             * Kind
             * @enum {string}
             */
            kind: "atx24" | "atx20" | "aux6" | "eps8" | "eps4" | "pcie8" | "pcie6" | "16pin" | "sata" | "per4" | "fdd4";
            /**
             * Required
             * @default true
             */
            required?: boolean;
            /**
             * Version
             * @description of a 16-pin socket: first (H+) or revised (H++)
             * @default revised
             * @enum {string}
             */
            version?: "first" | "revised";
            /**
             * Pins 12V
             * @description 12 V pins wired, where not the usual number
             */
            pins_12v?: number | null;
        };
        /**
         * SocketAnswer
         * @description A socket of the build: who it belongs to, and what feeds it.
         */
        SocketAnswer: {
            /** Ref */
            ref: string;
            /** Part */
            part: string;
            /** Words */
            words: string;
            /** Own Words */
            own_words: string;
            /** Kind */
            kind: string;
            /** Kind Words */
            kind_words: string;
            /** Required */
            required: boolean;
            /** Cable */
            cable?: string | null;
            /** Plug */
            plug?: string | null;
            /** Carrier */
            carrier?: string | null;
            /**
             * Fed By
             * @default
             */
            fed_by?: string;
            /**
             * Through
             * @default
             */
            through?: string;
        };
        /**
         * SocketRef
         * @description One input: a socket of one instance of a part, or a lead of an adapter, an extension or a
         *     backplane, called by its key in place of the part's.
         */
        SocketRef: {
            /** Part */
            part: string;
            /**
             * Instance
             * @default 1
             */
            instance?: number;
            /** Socket */
            socket: string;
        };
        /**
         * StepAnswer
         * @description A stretch of a current profile: amperes [A] on a rail per state, and their limit [A].
         */
        StepAnswer: {
            /** Rail */
            rail: string;
            /** From Mm */
            from_mm: number;
            /** To Mm */
            to_mm: number;
            amps: components["schemas"]["Numbers"];
            /** Limit A */
            limit_a: number | null;
            /**
             * Through
             * @default
             */
            through?: string;
        };
        /**
         * Supply
         * @description A power supply as its label and its panel describe it.
         */
        Supply: {
            /** Name */
            name: string;
            /**
             * Note
             * @default
             */
            note?: string;
            /**
             * Slug
             * @description of the catalogue entry, if any
             * @default
             */
            slug?: string;
            /**
             * Rated W
             * @description rated watts
             */
            rated_w?: number | null;
            /**
             * V12 A
             * @description 12 V rail
             */
            v12_a?: number | null;
            /**
             * V5 A
             * @description 5 V rail
             */
            v5_a?: number | null;
            /**
             * V3V3 A
             * @description 3.3 V rail
             */
            v3v3_a?: number | null;
            /**
             * V5Sb A
             * @description 5 V standby
             */
            v5sb_a?: number | null;
            /**
             * Vneg12 A
             * @description −12 V; 0 where the supply has none
             */
            vneg12_a?: number | null;
            /**
             * Vneg5 A
             * @description −5 V; 0 where the supply has none
             */
            vneg5_a?: number | null;
            /**
             * Combined W
             * @description 5 V and 3.3 V together
             */
            combined_w?: number | null;
            /** Design */
            design?: ("3.1" | "3.0" | "classic") | null;
            /**
             * Telemetry Lead
             * @description a lead for an internal USB 2 header, by which it tells its watts
             * @default false
             */
            telemetry_lead?: boolean;
            /**
             * Form
             * @description form
             */
            form?: ("ATX" | "SFX" | "SFX-L" | "TFX" | "Flex ATX") | null;
            /**
             * Length Mm
             * @description length without its plugs
             */
            length_mm?: number | null;
            /**
             * Modular
             * @description which of its cables come off
             */
            modular?: ("fully" | "semi" | "not") | null;
            /**
             * Regulation
             * @description each rail regulated by itself, or 12 V and 5 V together
             */
            regulation?: ("independent" | "group") | null;
            /**
             * Grade
             * @description efficiency grade
             */
            grade?: ("base" | "bronze" | "silver" | "gold" | "platinum" | "titanium") | null;
            /**
             * Efficiency
             * @description its own measured points; they win over the grade
             * @default []
             */
            efficiency?: components["schemas"]["EfficiencyPoint"][];
            /**
             * Fan Off Share
             * @description share of the rating up to which its fan stands; 0: never
             */
            fan_off_share?: number | null;
            /**
             * Fan Off Degc
             * @description its fan stands until its inside is so warm
             */
            fan_off_degc?: number | null;
            /**
             * Fan Side
             * @description its fan: in a wide face, at an end, or it has none
             */
            fan_side?: ("wide" | "end" | "none") | null;
            /**
             * Hold Up Ms
             * @description hold-up at full load
             */
            hold_up_ms?: number | null;
            /**
             * Made
             * @description year made
             */
            made?: number | null;
            /**
             * Owned
             * @description the thing in the drawer that it is
             * @default
             */
            owned?: string;
            /**
             * Individual
             * @description which very thing it is: stays while its figures are edited; empty: not given
             * @default
             */
            individual?: string;
            /** @description that it is yet to be bought */
            to_buy?: components["schemas"]["ToBuy"] | null;
            /**
             * In Box
             * @description what comes in its box beside itself
             * @default []
             */
            in_box?: (components["schemas"]["Adapter"] | components["schemas"]["Extension"] | components["schemas"]["Backplane"] | components["schemas"]["Bracket"] | components["schemas"]["LoosePart"])[];
            /**
             * Family
             * @description pinout family
             */
            family: string;
            /**
             * Groups
             * @default []
             */
            groups?: components["schemas"]["PortGroup"][];
            /**
             * Ports
             * @default []
             */
            ports?: components["schemas"]["Port"][];
        };
        /**
         * SupplyAnswer
         * @description A supply judged for this build.
         */
        SupplyAnswer: {
            /** Name */
            name: string;
            /** Rated W */
            rated_w: number | null;
            /**
             * Verdict
             * @enum {string}
             */
            verdict: "right size" | "a little short" | "too small" | "too big" | "does not fit" | "unknown";
            /** Checks */
            checks: components["schemas"]["CheckAnswer"][];
            percent: components["schemas"]["Percents"];
            /** Rides */
            rides: components["schemas"]["RideAnswer"][];
            /** Wall W */
            wall_w: number | null;
            /** Year Kwh */
            year_kwh: number | null;
            /** Year Price */
            year_price: number | null;
            /** Fan Stands */
            fan_stands: boolean | null;
            /** Not Checked */
            not_checked: string[];
        };
        /**
         * SupplyEnd
         * @description The supply end of a modular cable.
         */
        SupplyEnd: {
            /**
             * Circuits
             * @description of one of its plugs
             * @default 8
             */
            circuits?: number;
            /**
             * @default {
             *       "v12": 0,
             *       "v5": 0,
             *       "v3v3": 0,
             *       "v5sb": 0,
             *       "ground": 0
             *     }
             */
            pins?: components["schemas"]["RailPins"];
            /** Grade */
            grade?: ("standard" | "high") | null;
        };
        /**
         * SwapPlugs
         * @description Put each of two plugs in use where the other is.
         */
        SwapPlugs: {
            /**
             * @description discriminator enum property added by openapi-typescript
             * @enum {string}
             */
            type: "swap plugs";
            /** Cable */
            cable: string;
            /** Plug */
            plug: string;
            /** Other Cable */
            other_cable: string;
            /** Other Plug */
            other_plug: string;
        };
        /**
         * TakeEntry
         * @description Take a catalogue entry's figures over into a part; what ties it to its build stays. Of the
         *     same name, or another revision of the same entry, it is the same part, better described; else
         *     another one in its place.
         */
        TakeEntry: {
            /**
             * @description discriminator enum property added by openapi-typescript
             * @enum {string}
             */
            type: "take entry";
            /** Part */
            part: string;
            /** Entry */
            entry: components["schemas"]["Processor"] | components["schemas"]["Board"] | components["schemas"]["Card"] | components["schemas"]["Memory"] | components["schemas"]["M2Drive"] | components["schemas"]["Drive"] | components["schemas"]["Fan"] | components["schemas"]["Pump"] | components["schemas"]["Cooler"] | components["schemas"]["LightStrip"] | components["schemas"]["Hub"] | components["schemas"]["UsbLoad"] | components["schemas"]["Other"];
            /**
             * Release
             * @description consent to unplug what the edit takes the ground from
             * @default false
             */
            release?: boolean;
        };
        /**
         * TakeMap
         * @description Lay a map: every run as it is given, and what adapters and extensions are plugged into.
         */
        TakeMap: {
            /**
             * @description discriminator enum property added by openapi-typescript
             * @enum {string}
             */
            type: "take map";
            /** Runs */
            runs: components["schemas"]["Run"][];
            /**
             * Between
             * @default {}
             */
            between?: {
                [key: string]: components["schemas"]["Connection"][];
            };
            /**
             * @default {
             *       "cables": [],
             *       "adapters": [],
             *       "extensions": [],
             *       "house_rules": {},
             *       "power_limits": {},
             *       "supply": null,
             *       "box": []
             *     }
             */
            added?: components["schemas"]["Added"];
        };
        /**
         * TakeSupply
         * @description Put a supply in, with the cables from its box, in place of the one there is.
         */
        TakeSupply: {
            /**
             * @description discriminator enum property added by openapi-typescript
             * @enum {string}
             */
            type: "take supply";
            supply: components["schemas"]["Supply"];
            /**
             * Cables
             * @default []
             */
            cables?: components["schemas"]["Cable"][];
            /**
             * Release
             * @description consent to unplug what the edit takes the ground from
             * @default false
             */
            release?: boolean;
        };
        /**
         * ToBuy
         * @description A thing is not at hand; its price in the builder's one currency, where that is known.
         */
        ToBuy: {
            /**
             * Price
             * @description price, in the builder's currency
             */
            price?: number | null;
        };
        /**
         * Unplug
         * @description Take a cable out, both ends.
         */
        Unplug: {
            /**
             * @description discriminator enum property added by openapi-typescript
             * @enum {string}
             */
            type: "unplug";
            /** Cable */
            cable: string;
        };
        /**
         * UnspokenAnswer
         * @description What the build neither has nor is said to be without; `draws`: it nearly always draws.
         */
        UnspokenAnswer: {
            /**
             * Id
             * @enum {string}
             */
            id: "cooling" | "fans" | "storage" | "usb" | "pump" | "lights" | "second-lead" | "extras" | "front-panel";
            /** Words */
            words: string;
            /** Look */
            look: string;
            /** Draws */
            draws: boolean;
        };
        /**
         * UsbLoad
         * @description What hangs on the board's USB ports: outside, or on a header inside the case.
         */
        UsbLoad: {
            /** Key */
            key: string;
            /** Name */
            name: string;
            /**
             * Count
             * @default 1
             */
            count?: number;
            /**
             * Note
             * @default
             */
            note?: string;
            /**
             * In Box
             * @description what comes in its box beside itself
             * @default []
             */
            in_box?: (components["schemas"]["Adapter"] | components["schemas"]["Extension"] | components["schemas"]["Backplane"] | components["schemas"]["Bracket"] | components["schemas"]["LoosePart"])[];
            /**
             * Individual
             * @description which very thing it is: stays while its figures are edited; empty: not given
             * @default
             */
            individual?: string;
            /**
             * Exchanged
             * @description instances exchanged for another of the same make, once for each time
             * @default []
             */
            exchanged?: number[];
            /**
             * Catalogue
             * @description slug@revision of the catalogue entry that it was copied from, if any
             * @default
             */
            catalogue?: string;
            /**
             * @description discriminator enum property added by openapi-typescript
             * @enum {string}
             */
            kind: "usb";
            /** @description at 5 V, in use */
            draw_w?: components["schemas"]["Figure"] | null;
            /** @description asleep, from standby: what may wake or charge */
            asleep_w?: components["schemas"]["Figure"] | null;
            /**
             * Plugged into
             * @description a port outside, or an internal header that one takes to itself
             * @default outside
             * @enum {string}
             */
            port?: "outside" | "usb2" | "usb3" | "usb-c";
            /**
             * Headers it gives
             * @description internal USB 2 headers that it gives: a hub inside
             */
            usb2_headers?: number | null;
        };
        /**
         * Vent
         * @description An opening for air.
         */
        Vent: {
            /**
             * Side
             * @enum {string}
             */
            side: "front" | "top" | "rear" | "bottom" | "left" | "right";
            /**
             * Filtered
             * @default false
             */
            filtered?: boolean;
        };
        /**
         * NewIn
         * @description A new, empty build.
         */
        NewIn: {
            /** Name */
            name: string;
        };
        /**
         * OpenIn
         * @description A build file's text.
         */
        OpenIn: {
            /** Text */
            text: string;
        };
        /**
         * NameIn
         * @description A name for a copy, or for a variant; none: one is given.
         */
        NameIn: {
            /**
             * Name
             * @default
             */
            name?: string;
        };
        /**
         * ChangedOut
         * @description An entity as it is now; no value where it is gone.
         */
        ChangedOut: {
            /** Entity */
            entity: string;
            /** Value */
            value: {
                [key: string]: unknown;
            } | null;
        };
        /**
         * OrderOut
         * @description Keys of the things of a build, in their order.
         */
        OrderOut: {
            /** Parts */
            parts: string[];
            /** Cables */
            cables: string[];
            /** Adapters */
            adapters: string[];
            /** Extensions */
            extensions: string[];
            /** Backplanes */
            backplanes: string[];
            /** Runs */
            runs: string[];
        };
        /**
         * WrittenOut
         * @description What a write did. Where edits of others went in with it: what they changed between them, the
         *     version that the last of them made, and its result.
         */
        WrittenOut: {
            /** Key */
            key: string;
            /** Version */
            version: number;
            /** Changed */
            changed: components["schemas"]["ChangedOut"][];
            order: components["schemas"]["OrderOut"];
            result: components["schemas"]["Compact"];
            history: components["schemas"]["History"];
        };
        /**
         * TakeVariantIn
         * @description Make the build what a variant of it is.
         */
        TakeVariantIn: {
            /** Base Version */
            base_version: number;
            /** Variant */
            variant: string;
        };
        /**
         * GroupIn
         * @description The group that a build is put into; empty: none.
         */
        GroupIn: {
            /** Group */
            group: string;
        };
        /**
         * InBin
         * @description A thing in the bin: what kind, its key, its name, when it was thrown away and until when it
         *     is kept.
         */
        InBin: {
            /**
             * Kind
             * @enum {string}
             */
            kind: "part" | "readings" | "photo" | "build";
            /** Key */
            key: string;
            /** Name */
            name: string;
            /** Thrown */
            thrown: string;
            /** Until */
            until: string;
        };
        /**
         * BackOut
         * @description A build that came out of the bin, by its key.
         */
        BackOut: {
            /** Key */
            key: string;
        };
        /**
         * ActIn
         * @description An edit, and the version that it was made on.
         */
        ActIn: {
            /** Base Version */
            base_version: number;
            /** Action */
            action: components["schemas"]["AddPart"] | components["schemas"]["AddParts"] | components["schemas"]["ChangePart"] | components["schemas"]["TakeEntry"] | components["schemas"]["RemovePart"] | components["schemas"]["ChangeBuild"] | components["schemas"]["TakeSupply"] | components["schemas"]["ChangeSupply"] | components["schemas"]["AddCable"] | components["schemas"]["ChangeCable"] | components["schemas"]["RemoveCable"] | components["schemas"]["AddBetween"] | components["schemas"]["Become"] | components["schemas"]["ChangeBetween"] | components["schemas"]["RemoveBetween"] | components["schemas"]["Connect"] | components["schemas"]["Exchange"] | components["schemas"]["FindOut"] | components["schemas"]["Park"] | components["schemas"]["Pin"] | components["schemas"]["PlugIn"] | components["schemas"]["SwapPlugs"] | components["schemas"]["TakeMap"] | components["schemas"]["Unplug"];
        };
        /**
         * PreviewOut
         * @description The result that an edit would have.
         */
        PreviewOut: {
            /** Version */
            version: number;
            result: components["schemas"]["Compact"];
        };
        /**
         * BaseIn
         * @description The version that an undo or redo was asked for on.
         */
        BaseIn: {
            /** Base Version */
            base_version: number;
        };
        /**
         * TakeIn
         * @description Take a supply of the catalogue.
         */
        TakeIn: {
            /** Base Version */
            base_version: number;
            /** Slug */
            slug: string;
            /**
             * Release
             * @default false
             */
            release?: boolean;
        };
        /**
         * CandidateOut
         * @description A supply that may be taken, judged for a build; `builds`: keys of those that it is in.
         */
        CandidateOut: {
            /** Slug */
            slug: string;
            /**
             * Source
             * @enum {string}
             */
            source: "owned" | "catalogue" | "looked at";
            /** Builds */
            builds: string[];
            /** Condition */
            condition: string;
            /** Lies */
            lies: string;
            /** Price */
            price: number | null;
            /** In Build */
            in_build: boolean;
            supply: components["schemas"]["Supply"];
            /** Cables */
            cables: components["schemas"]["Cable"][];
            answer: components["schemas"]["SupplyAnswer"];
        };
        /**
         * AddedAnswer
         * @description What raised power limits add to a rule [W].
         */
        AddedAnswer: {
            /** Rule */
            rule: string;
            /** Words */
            words: string;
            /** Watts */
            watts: number;
        };
        /**
         * SizeAnswer
         * @description A common size [W] below, at or above the one that is needed, and what it costs in checks.
         */
        SizeAnswer: {
            /** Rated W */
            rated_w: number;
            /** At */
            at: string;
            /** Text */
            text: string;
            /** Checks */
            checks: components["schemas"]["CheckAnswer"][];
        };
        /**
         * SizesAnswer
         * @description The sizes beside the needed one, and what raised power limits add.
         */
        SizesAnswer: {
            /** Sizes */
            sizes: components["schemas"]["SizeAnswer"][];
            /** Added */
            added: components["schemas"]["AddedAnswer"][];
        };
        /**
         * FitAnswer
         * @description Every check of room and air, and the drawing [mm].
         */
        FitAnswer: {
            /** Case */
            case: string;
            /** Checks */
            checks: components["schemas"]["RoomAnswer"][];
            /** Shapes */
            shapes: components["schemas"]["Shape"][];
            /** Not Drawn */
            not_drawn: string[];
        };
        /**
         * MeasureAnswer
         * @description A measure that is missing, and where it is entered.
         */
        MeasureAnswer: {
            /** Text */
            text: string;
            /**
             * Of
             * @enum {string}
             */
            of: "build" | "part" | "socket" | "cable" | "group" | "supply" | "case";
            /** Subject */
            subject: string;
            /** Field */
            field: string;
        };
        /**
         * RoomAnswer
         * @description One check of room or air: of a part by its key and name, or of the case.
         */
        RoomAnswer: {
            /** Id */
            id: string;
            /**
             * Status
             * @enum {string}
             */
            status: "pass" | "warn" | "fail" | "unknown" | "not checked";
            /** Part */
            part: string;
            /** Name */
            name: string;
            /** Words */
            words: string;
            /** Text */
            text: string;
            /** Load */
            load: number | null;
            /** Limit */
            limit: number | null;
            /** Unit */
            unit: string;
            /** Missing */
            missing: components["schemas"]["MeasureAnswer"][];
        };
        /**
         * Shape
         * @description A rectangle [mm]; a limit has no width. `collides`: it reaches beyond its room.
         */
        Shape: {
            /**
             * View
             * @enum {string}
             */
            view: "side" | "front";
            /**
             * Kind
             * @enum {string}
             */
            kind: "card" | "plug" | "bend" | "radiator" | "fans" | "supply" | "supply plugs" | "limit" | "place";
            /** X */
            x: number;
            /** Y */
            y: number;
            /** W */
            w: number;
            /** H */
            h: number;
            /**
             * Label
             * @default
             */
            label?: string;
            /**
             * Collides
             * @default false
             */
            collides?: boolean;
        };
        /**
         * BilledAnswer
         * @description A stretch of a day in one state under one price.
         */
        BilledAnswer: {
            /** State */
            state: string;
            /** From H */
            from_h: number;
            /** To H */
            to_h: number;
            /** Wall W */
            wall_w: number;
            /** Band */
            band: string;
            /** Price */
            price: number | null;
        };
        /**
         * DayAnswer
         * @description A day of the week in stretches.
         */
        DayAnswer: {
            /** Day */
            day: string;
            /** Stretches */
            stretches: components["schemas"]["BilledAnswer"][];
        };
        /**
         * SpanAnswer
         * @description A price band on a day [h].
         */
        SpanAnswer: {
            /** Day */
            day: string;
            /** Name */
            name: string;
            /** From H */
            from_h: number;
            /** To H */
            to_h: number;
            /** Price */
            price: number;
        };
        /**
         * WeekAnswer
         * @description A week of one supply: watts from the wall by hour under the tariff's bands, and a year.
         *     `lacks`: what is missing for it, in words; then there are no days.
         */
        WeekAnswer: {
            /** Name */
            name: string;
            /** Days */
            days: components["schemas"]["DayAnswer"][];
            /** Bands */
            bands: components["schemas"]["SpanAnswer"][];
            /** Kwh */
            kwh: number | null;
            /** Cost */
            cost: number | null;
            /** Currency */
            currency: string;
            /** Lacks */
            lacks: string;
        };
        /**
         * PriceAnswer
         * @description What something costs: money (none: not known) in a currency, plugs and ports that move,
         *     minutes at the bench (none: no record tells); in a phrase too.
         */
        PriceAnswer: {
            /** Money */
            money: number | null;
            /** Currency */
            currency: string;
            /** Moves */
            moves: number;
            /** Minutes */
            minutes: number | null;
            /** Text */
            text: string;
        };
        /**
         * WayOut
         * @description What would let the supply in place stay, in words, what it costs, and the edit that does
         *     it.
         */
        WayOut: {
            /** Id */
            id: string;
            /** Text */
            text: string;
            price: components["schemas"]["PriceAnswer"];
            /** Edit */
            edit: components["schemas"]["AddPart"] | components["schemas"]["AddParts"] | components["schemas"]["ChangePart"] | components["schemas"]["TakeEntry"] | components["schemas"]["RemovePart"] | components["schemas"]["ChangeBuild"] | components["schemas"]["TakeSupply"] | components["schemas"]["ChangeSupply"] | components["schemas"]["AddCable"] | components["schemas"]["ChangeCable"] | components["schemas"]["RemoveCable"] | components["schemas"]["AddBetween"] | components["schemas"]["Become"] | components["schemas"]["ChangeBetween"] | components["schemas"]["RemoveBetween"] | components["schemas"]["Connect"] | components["schemas"]["Exchange"] | components["schemas"]["FindOut"] | components["schemas"]["Park"] | components["schemas"]["Pin"] | components["schemas"]["PlugIn"] | components["schemas"]["SwapPlugs"] | components["schemas"]["TakeMap"] | components["schemas"]["Unplug"];
        };
        /**
         * ElementAnswer
         * @description One limit on a run. `share` 1.0 is 100 %; `loads` are of every state.
         */
        ElementAnswer: {
            /** Kind */
            kind: string;
            /** Line */
            line: string;
            /** At */
            at: string;
            /** Title */
            title: string;
            /**
             * State
             * @enum {string}
             */
            state: "sleep" | "idle" | "everyday" | "full" | "start" | "short";
            /** Load */
            load: number;
            /** Limit */
            limit: number | null;
            /** Unit */
            unit: string;
            /** Share */
            share: number | null;
            /** Percent */
            percent: number | null;
            /**
             * Verdict
             * @enum {string}
             */
            verdict: "over" | "unknown" | "tight" | "within";
            /** Formula */
            formula: string;
            /** Cause */
            cause: string;
            /** Source */
            source: string;
            loads: components["schemas"]["Numbers"];
            /** Refused */
            refused: boolean;
            /**
             * Usual
             * @enum {string}
             */
            usual: "" | "holds" | "breaks";
        };
        /**
         * RunAnswer
         * @description Every element of one run, worst first.
         */
        RunAnswer: {
            /** Cable */
            cable: string;
            /** Name */
            name: string;
            /** Ports */
            ports: string[];
            /**
             * Verdict
             * @enum {string}
             */
            verdict: "over" | "unknown" | "tight" | "within";
            /** Percent */
            percent: number | null;
            /** Cause */
            cause: string;
            /** Usual */
            usual: boolean;
            /** Elements */
            elements: components["schemas"]["ElementAnswer"][];
        };
        /**
         * WhyOut
         * @description Every element of one run.
         */
        WhyOut: {
            /** Version */
            version: number;
            run: components["schemas"]["RunAnswer"];
        };
        /**
         * RowAnswer
         * @description A row of the tally: watts [W] per state, how they come about, where they are set.
         */
        RowAnswer: {
            /** Part */
            part: string;
            /** Name */
            name: string;
            /** Count */
            count: number;
            /** Rail */
            rail: string;
            /** Path */
            path: string;
            watts: components["schemas"]["Amounts"];
            /** Field */
            field: string;
            /** Formula */
            formula: string;
            /**
             * Origin
             * @enum {string}
             */
            origin: "maker" | "measured" | "assumed" | "simulated";
        };
        /**
         * RowsOut
         * @description The rows of the tally, and of the spikes.
         */
        RowsOut: {
            /** Version */
            version: number;
            /** Rows */
            rows: components["schemas"]["RowAnswer"][];
            /** Spike Rows */
            spike_rows: components["schemas"]["SpikeRowAnswer"][];
        };
        /**
         * SpikeRowAnswer
         * @description A row of the spikes: watts [W] in each window, how they come about, where they are set.
         */
        SpikeRowAnswer: {
            /** Part */
            part: string;
            /** Name */
            name: string;
            /** Count */
            count: number;
            /** Rail */
            rail: string | null;
            watts: components["schemas"]["SpikeAmounts"];
            /** Field */
            field: string;
            /** Formula */
            formula: string;
            /**
             * Origin
             * @enum {string}
             */
            origin: "maker" | "measured" | "assumed" | "simulated";
        };
        /**
         * LinesOut
         * @description The parts of a build, one a line.
         */
        LinesOut: {
            /** Lines */
            lines: string[];
        };
        /**
         * Offer
         * @description One way to go on. `reason` is empty where it fits; `note` says what it would do.
         */
        Offer: {
            /** Cable */
            cable: string;
            /** Cable Name */
            cable_name: string;
            /** Plug */
            plug: string;
            /**
             * Half
             * @enum {string}
             */
            half: "whole" | "marked" | "loose";
            /** Socket */
            socket: string;
            at: components["schemas"]["SocketRef"];
            /** Ports */
            ports: string[];
            /** Text */
            text: string;
            /** Note */
            note: string;
            /** Reason */
            reason: string;
            /** Spare */
            spare: boolean;
            /**
             * Verdict
             * @default
             */
            verdict?: string;
            /** Percent */
            percent?: number | null;
            /**
             * Refused By Rule
             * @default false
             */
            refused_by_rule?: boolean;
        };
        /**
         * Offers
         * @description What fits and what is refused, for a picked socket or a picked plug.
         */
        Offers: {
            /** Picked */
            picked: string;
            /** Fitting */
            fitting: components["schemas"]["Offer"][];
            /** Refused */
            refused: components["schemas"]["Offer"][];
        };
        /**
         * OffersOut
         * @description Both ends of a connection: what fits, what does not and why.
         */
        OffersOut: {
            /** Version */
            version: number;
            offers: components["schemas"]["Offers"];
        };
        /**
         * EffectOut
         * @description What a position of a house rule would make of a build, in words.
         */
        EffectOut: {
            /** Rule */
            rule: string;
            /** Value */
            value: string;
            /** Text */
            text: string;
        };
        /**
         * RulesOut
         * @description House rules of new builds; `changed`: how many builds were brought to them; `left`: keys of
         *     those for which there was no time.
         */
        RulesOut: {
            house_rules: components["schemas"]["HouseRules"];
            /**
             * Changed
             * @default 0
             */
            changed?: number;
            /**
             * Left
             * @default []
             */
            left?: string[];
        };
        /**
         * RulesIn
         * @description House rules for new builds; `everywhere`: for those that are there too, all or by key.
         */
        RulesIn: {
            house_rules: components["schemas"]["HouseRules"];
            /**
             * Everywhere
             * @default false
             */
            everywhere?: boolean | string[];
        };
        /**
         * AssumptionOut
         * @description An assumption, as declared.
         */
        AssumptionOut: {
            /** Name */
            name: string;
            /** Text */
            text: string;
            /** Unit */
            unit: string;
            /**
             * Kind
             * @enum {string}
             */
            kind: "bounds" | "number";
            /** Default */
            default: unknown;
        };
        /**
         * ChoiceOut
         * @description A value that a field may have, and what it is called.
         */
        ChoiceOut: {
            /** Value */
            value: string | number | boolean | null;
            /** Words */
            words: string;
        };
        /**
         * ConnectorOut
         * @description A connector's face: rows of letters, a letter a pin.
         */
        ConnectorOut: {
            /** Kind */
            kind: string;
            /** Words */
            words: string;
            /** Face */
            face: string[];
            /** Side */
            side: string;
            /** Latch */
            latch: boolean;
            /** Coded */
            coded: boolean;
            /** May Lack Pins */
            may_lack_pins: boolean;
        };
        /**
         * FieldOut
         * @description A field of a part kind, as declared: a figure with bounds, or a plain one.
         */
        FieldOut: {
            /** Name */
            name: string;
            /** Label */
            label: string;
            /** Text */
            text: string;
            /** Unit */
            unit: string;
            /**
             * Shape
             * @enum {string}
             */
            shape: "figure" | "choice" | "tick" | "whole" | "number";
            /** Choices */
            choices: components["schemas"]["ChoiceOut"][];
            /** Minimum */
            minimum: number | null;
            /** Maximum */
            maximum: number | null;
            /** May Miss */
            may_miss: boolean;
            /** Group */
            group: string;
            only: components["schemas"]["OnlyOut"] | null;
            /** Default From */
            default_from: string[];
            /** Needed */
            needed: boolean;
        };
        /**
         * OftenOut
         * @description A part that adds what is often forgotten, in words.
         */
        OftenOut: {
            /** Words */
            words: string;
            /** Part */
            part: components["schemas"]["Processor"] | components["schemas"]["Board"] | components["schemas"]["Card"] | components["schemas"]["Memory"] | components["schemas"]["M2Drive"] | components["schemas"]["Drive"] | components["schemas"]["Fan"] | components["schemas"]["Pump"] | components["schemas"]["Cooler"] | components["schemas"]["LightStrip"] | components["schemas"]["Hub"] | components["schemas"]["UsbLoad"] | components["schemas"]["Other"];
        };
        /**
         * OnlyOut
         * @description A field, and the value of it at which another means nothing.
         */
        OnlyOut: {
            /** Field */
            field: string;
            /** Value */
            value: string;
        };
        /**
         * PositionOut
         * @description A position of a house rule.
         */
        PositionOut: {
            /** Value */
            value: string;
            /** Words */
            words: string;
            /** Text */
            text: string;
        };
        /**
         * ReferenceOut
         * @description What does not change while the application runs.
         */
        ReferenceOut: {
            /** Connectors */
            connectors: components["schemas"]["ConnectorOut"][];
            /** Plugs */
            plugs: {
                [key: string]: string;
            };
            /** Plug Faces */
            plug_faces: {
                [key: string]: string;
            };
            /** Templates */
            templates: components["schemas"]["TemplateOut"][];
            /** Often */
            often: {
                [key: string]: components["schemas"]["OftenOut"][];
            };
            /** Starters */
            starters: components["schemas"]["StarterOut"][];
            /** Fields */
            fields: {
                [key: string]: components["schemas"]["FieldOut"][];
            };
            /** Sought */
            sought: components["schemas"]["SoughtOut"][];
            /** Assumptions */
            assumptions: components["schemas"]["AssumptionOut"][];
            /** Sizes W */
            sizes_w: number[];
            /** Presets */
            presets: {
                [key: string]: {
                    [key: string]: number;
                };
            };
            words: components["schemas"]["WordsOut"];
            /** House Rules */
            house_rules: components["schemas"]["RuleOut"][];
        };
        /**
         * RuleOut
         * @description A house rule, by how it is called, with its positions.
         */
        RuleOut: {
            /** Rule */
            rule: string;
            /** Words */
            words: string;
            /** Positions */
            positions: components["schemas"]["PositionOut"][];
            /** Maps */
            maps: boolean;
        };
        /**
         * SoughtOut
         * @description A word that parts of a kind are looked for by, and how a list of them is headed.
         */
        SoughtOut: {
            /** Word */
            word: string;
            /** Several */
            several: string;
        };
        /**
         * StarterOut
         * @description A machine to start from: what it is for, and its parts, one a line.
         */
        StarterOut: {
            /** Id */
            id: string;
            /** Words */
            words: string;
            /** Text */
            text: string;
            /** Lines */
            lines: string[];
        };
        /**
         * TemplateOut
         * @description A part to start from.
         */
        TemplateOut: {
            /** Id */
            id: string;
            /** Words */
            words: string;
            /** Also */
            also: string;
            /** Part */
            part: components["schemas"]["Processor"] | components["schemas"]["Board"] | components["schemas"]["Card"] | components["schemas"]["Memory"] | components["schemas"]["M2Drive"] | components["schemas"]["Drive"] | components["schemas"]["Fan"] | components["schemas"]["Pump"] | components["schemas"]["Cooler"] | components["schemas"]["LightStrip"] | components["schemas"]["Hub"] | components["schemas"]["UsbLoad"] | components["schemas"]["Other"];
        };
        /**
         * WordsOut
         * @description The one word for each rail, state, port, header, path and kind of finding, in order.
         */
        WordsOut: {
            /** States */
            states: {
                [key: string]: string;
            };
            /** Findings */
            findings: {
                [key: string]: string;
            };
            /** Rails */
            rails: {
                [key: string]: string;
            };
            /** Ports */
            ports: {
                [key: string]: string;
            };
            /** Headers */
            headers: {
                [key: string]: string;
            };
            /** Paths */
            paths: string[];
        };
        /**
         * EntryOut
         * @description What a line was understood as; `part` where it can be added as it stands.
         */
        EntryOut: {
            /** Part */
            part: (components["schemas"]["Processor"] | components["schemas"]["Board"] | components["schemas"]["Card"] | components["schemas"]["Memory"] | components["schemas"]["M2Drive"] | components["schemas"]["Drive"] | components["schemas"]["Fan"] | components["schemas"]["Pump"] | components["schemas"]["Cooler"] | components["schemas"]["LightStrip"] | components["schemas"]["Hub"] | components["schemas"]["UsbLoad"] | components["schemas"]["Other"]) | null;
            /** Understood */
            understood: string;
            /** Unknown */
            unknown: string[];
            /** Question */
            question: string;
            /** Choices */
            choices: string[];
            /** Named */
            named: string;
            /** Dropped */
            dropped: string[];
            /** Described */
            described: string[];
            /** Loose */
            loose: string[];
            /** Parts */
            parts: (components["schemas"]["Processor"] | components["schemas"]["Board"] | components["schemas"]["Card"] | components["schemas"]["Memory"] | components["schemas"]["M2Drive"] | components["schemas"]["Drive"] | components["schemas"]["Fan"] | components["schemas"]["Pump"] | components["schemas"]["Cooler"] | components["schemas"]["LightStrip"] | components["schemas"]["Hub"] | components["schemas"]["UsbLoad"] | components["schemas"]["Other"])[];
            /** Goes */
            goes: string;
            /** Proof */
            proof: string;
        };
        /**
         * FoundOut
         * @description An entry: its part as it would go into a build, in words, and what its page leaves out.
         */
        FoundOut: {
            /** Slug */
            slug: string;
            /** Revision */
            revision: number;
            /** Own */
            own: boolean;
            /** Part */
            part: components["schemas"]["Processor"] | components["schemas"]["Board"] | components["schemas"]["Card"] | components["schemas"]["Memory"] | components["schemas"]["M2Drive"] | components["schemas"]["Drive"] | components["schemas"]["Fan"] | components["schemas"]["Pump"] | components["schemas"]["Cooler"] | components["schemas"]["LightStrip"] | components["schemas"]["Hub"] | components["schemas"]["UsbLoad"] | components["schemas"]["Other"];
            /** Words */
            words: string;
            /** Rest */
            rest: string;
            /** Lacks */
            lacks: string[];
        };
        /**
         * OwnWordOut
         * @description A word of one's own, and what it means, in words.
         */
        OwnWordOut: {
            /** Word */
            word: string;
            /** Means */
            means: string;
            /** Label */
            label: string;
        };
        /**
         * SayOut
         * @description What a line was understood as, and the entries that its words find.
         */
        SayOut: {
            said: components["schemas"]["EntryOut"];
            /** Slots */
            slots: components["schemas"]["SlotOut"][];
            /** Own */
            own: components["schemas"]["OwnWordOut"][];
            /** Offers */
            offers: components["schemas"]["FoundOut"][];
            /** Meant */
            meant: string[];
        };
        /**
         * SlotOut
         * @description A slot of what a line is taken as, and the characters that say it; both 0 where none do.
         */
        SlotOut: {
            /** Name */
            name: string;
            /** Words */
            words: string;
            /** At */
            at: number;
            /** To */
            to: number;
        };
        /**
         * SayIn
         * @description A line being typed.
         */
        SayIn: {
            /** Text */
            text: string;
        };
        /**
         * LineOut
         * @description One line of a list, and what it was understood as.
         */
        LineOut: {
            /** Line */
            line: string;
            entry: components["schemas"]["EntryOut"];
            /** Slots */
            slots: components["schemas"]["SlotOut"][];
            /** Own */
            own: components["schemas"]["OwnWordOut"][];
            /** Watts */
            watts: number | null;
            /** Meant */
            meant: string[];
        };
        /**
         * ListIn
         * @description A list of parts, one a line.
         */
        ListIn: {
            /** Text */
            text: string;
        };
        /**
         * MeaningOut
         * @description Something that a word may mean, and what it is of.
         */
        MeaningOut: {
            /** Means */
            means: string;
            /** Label */
            label: string;
            /** Group */
            group: string;
        };
        /**
         * OwnWordsOut
         * @description One's own words, and all that a word may mean.
         */
        OwnWordsOut: {
            /** Words */
            words: components["schemas"]["OwnWordOut"][];
            /** Meanings */
            meanings: components["schemas"]["MeaningOut"][];
        };
        /**
         * WordIn
         * @description A word to be learned, and what it means: the entry line's own word, or nothing.
         */
        WordIn: {
            /** Word */
            word: string;
            /** Means */
            means: string;
        };
        /**
         * CatalogueOut
         * @description Entries found, and how many there are.
         */
        CatalogueOut: {
            /** Found */
            found: components["schemas"]["FoundOut"][];
            /** Entries */
            entries: number;
            /** Own */
            own: number;
        };
        /**
         * Change
         * @description What a row would do to the catalogue: `columns` are those that change, before and after.
         */
        Change: {
            /** Line */
            line: number;
            /** Slug */
            slug: string;
            /** Name */
            name: string;
            /**
             * Status
             * @enum {string}
             */
            status: "new" | "changed" | "same" | "wrong";
            /**
             * Columns
             * @default []
             */
            columns?: [
                string,
                string,
                string
            ][];
            /**
             * Problems
             * @default []
             */
            problems?: [
                string,
                string,
                string
            ][];
        };
        /**
         * ChangesOut
         * @description What a CSV file would do, or did, line by line.
         */
        ChangesOut: {
            /** Changes */
            changes: components["schemas"]["Change"][];
        };
        /**
         * FileIn
         * @description A CSV file's text, and what its supplies are.
         */
        FileIn: {
            /** Text */
            text: string;
            /**
             * Standing
             * @default looked at
             * @enum {string}
             */
            standing?: "owned" | "looked at";
        };
        /**
         * KeepIn
         * @description A part to keep as an entry of one's own.
         */
        KeepIn: {
            /** Part */
            part: components["schemas"]["Processor"] | components["schemas"]["Board"] | components["schemas"]["Card"] | components["schemas"]["Memory"] | components["schemas"]["M2Drive"] | components["schemas"]["Drive"] | components["schemas"]["Fan"] | components["schemas"]["Pump"] | components["schemas"]["Cooler"] | components["schemas"]["LightStrip"] | components["schemas"]["Hub"] | components["schemas"]["UsbLoad"] | components["schemas"]["Other"];
        };
        /**
         * DrawerThing
         * @description A thing in the drawer: what it is, how many, how old, in what condition, where it lies.
         */
        DrawerThing: {
            /** Key */
            key: string;
            /**
             * Standing
             * @description owned, or one that one is looking at
             * @default owned
             * @enum {string}
             */
            standing?: "owned" | "looked at";
            /**
             * Count
             * @default 1
             */
            count?: number;
            /**
             * Condition
             * @default good
             * @enum {string}
             */
            condition?: "good" | "worn" | "not to be used";
            /**
             * Since
             * @description year it was bought
             */
            since?: number | null;
            /**
             * Lies
             * @description where it lies
             * @default
             */
            lies?: string;
            /**
             * Note
             * @default
             */
            note?: string;
            supply?: components["schemas"]["Supply"] | null;
            /**
             * Cables
             * @default []
             */
            cables?: components["schemas"]["Cable"][];
            /** Thing */
            thing?: components["schemas"]["Cable"] | components["schemas"]["Adapter"] | components["schemas"]["Extension"] | components["schemas"]["Bracket"] | null;
        };
        /**
         * ThingOut
         * @description A thing: what it is, its lines, the builds that its units are in, and how many are free.
         */
        ThingOut: {
            thing: components["schemas"]["DrawerThing"];
            /** Kind */
            kind: "supply" | ("cable" | "adapter" | "extension" | "bracket");
            /** Name */
            name: string;
            /** Family */
            family: string;
            /** Words */
            words: string;
            /** Lines */
            lines: string;
            /** Builds */
            builds: string[];
            /** Free */
            free: number;
        };
        /**
         * PutIn
         * @description A thing to put in: by its lines, or by its slug in the catalogue.
         */
        PutIn: {
            /** Kind */
            kind: "supply" | ("cable" | "adapter" | "extension" | "bracket");
            /**
             * Text
             * @default
             */
            text?: string;
            /**
             * Slug
             * @default
             */
            slug?: string;
            /**
             * Standing
             * @default owned
             * @enum {string}
             */
            standing?: "owned" | "looked at";
            /**
             * Count
             * @default 1
             */
            count?: number;
            /**
             * Condition
             * @default good
             * @enum {string}
             */
            condition?: "good" | "worn" | "not to be used";
            /** Since */
            since?: number | null;
            /**
             * Lies
             * @default
             */
            lies?: string;
            /**
             * Note
             * @default
             */
            note?: string;
        };
        /**
         * ReadOut
         * @description What lines were understood as, in words; or what they need.
         */
        ReadOut: {
            /** Words */
            words: string[];
            /** Problems */
            problems: string[];
            /** Loose */
            loose: string[];
            /** Unknown */
            unknown: string[];
            /** Own */
            own: components["schemas"]["OwnWordOut"][];
        };
        /**
         * ReadIn
         * @description Lines being typed.
         */
        ReadIn: {
            /** Kind */
            kind: "supply" | ("cable" | "adapter" | "extension" | "bracket");
            /** Text */
            text: string;
        };
        /**
         * ChangeIn
         * @description Fields to set; `text` says the thing anew.
         */
        ChangeIn: {
            /** Changes */
            changes: {
                [key: string]: unknown;
            };
            /**
             * Text
             * @default
             */
            text?: string;
        };
        /**
         * PricesOut
         * @description What things cost that could be had: by the slug of a supply, `drawer:` and the key of one
         *     looked at, `loose:` and the slug of what is sold by itself.
         */
        PricesOut: {
            /** Currency */
            currency: string;
            /** Prices */
            prices: {
                [key: string]: number;
            };
        };
        /**
         * PricesIn
         * @description Prices to set or, none, to take back, by what they are of; the currency, where it changes.
         */
        PricesIn: {
            /**
             * Prices
             * @default {}
             */
            prices?: {
                [key: string]: number | null;
            };
            /** Currency */
            currency?: string | null;
        };
        /**
         * LooseEntry
         * @description A thing sold by itself, by slug and revision.
         */
        LooseEntry: {
            /** Slug */
            slug: string;
            /**
             * Revision
             * @default 1
             */
            revision?: number;
            /** Thing */
            thing: components["schemas"]["Cable"] | components["schemas"]["Adapter"] | components["schemas"]["Extension"] | components["schemas"]["Bracket"];
        };
        /**
         * LooseOut
         * @description A thing that is sold by itself, in words.
         */
        LooseOut: {
            entry: components["schemas"]["LooseEntry"];
            /**
             * Kind
             * @enum {string}
             */
            kind: "cable" | "adapter" | "extension" | "bracket";
            /** Family */
            family: string;
            /** Words */
            words: string;
        };
        /**
         * SaidOut
         * @description The same with the thing itself, where it is understood.
         */
        SaidOut: {
            /** Words */
            words: string[];
            /** Problems */
            problems: string[];
            /** Loose */
            loose: string[];
            /** Unknown */
            unknown: string[];
            /** Own */
            own: components["schemas"]["OwnWordOut"][];
            /** Thing */
            thing: components["schemas"]["Cable"] | components["schemas"]["Adapter"] | components["schemas"]["Extension"] | components["schemas"]["Backplane"] | null;
            /** Name */
            name: string;
        };
        /**
         * SaidIn
         * @description A cable, an adapter, an extension or a drive cage being typed; the family of a cable.
         */
        SaidIn: {
            /** Text */
            text: string;
            /** Family */
            family: string;
        };
        /**
         * BoxedOut
         * @description What lies in a box.
         */
        BoxedOut: {
            /** Thing */
            thing: components["schemas"]["Adapter"] | components["schemas"]["Extension"] | components["schemas"]["Backplane"] | components["schemas"]["Bracket"] | components["schemas"]["LoosePart"];
        };
        /**
         * BoxedIn
         * @description A thing of a box being typed.
         */
        BoxedIn: {
            /** Text */
            text: string;
        };
        /**
         * BusyOut
         * @description What somebody who is waited for is busy with, and since when.
         */
        BusyOut: {
            /** What */
            what: string;
            /** Since */
            since: string;
        };
        /**
         * EndAnswer
         * @description One end of a cable: out of what and into what it goes, empty where it hangs.
         */
        EndAnswer: {
            /** End */
            end: string;
            /** Out Of */
            out_of: string;
            /** Into */
            into: string;
        };
        /**
         * GoalAnswer
         * @description A goal in words: what it comes to now and with the map, and whether that is proven best.
         */
        GoalAnswer: {
            /** Id */
            id: string;
            /** Words */
            words: string;
            /** Now */
            now: string;
            /** Then */
            then: string;
            /** Proven */
            proven: boolean;
            /** Bound */
            bound: string;
        };
        /**
         * LeftAnswer
         * @description Sockets alike that are left unfed, and what forbids to feed them, in figures.
         */
        LeftAnswer: {
            /** Sockets */
            sockets: string[];
            /** Why */
            why: string[];
        };
        /**
         * MapAnswer
         * @description What mapping found. `impossible`: `edit` then lays as much as can be fed, `unfed` names what
         *     is left, `left` why; where nothing can be laid, `why` says which facts forbid it. `not decided`:
         *     nothing was found, and not everything was looked at; `why` says so. `nothing`: there is nothing
         *     to feed.
         */
        MapAnswer: {
            /**
             * Status
             * @enum {string}
             */
            status: "mapped" | "impossible" | "not decided" | "nothing";
            /** Proven */
            proven: boolean;
            /** Goals */
            goals: components["schemas"]["GoalAnswer"][];
            /** Swaps */
            swaps: components["schemas"]["SwapAnswer"][];
            /** Moved */
            moved: number;
            /** Bill */
            bill: string[];
            edit: components["schemas"]["TakeMap"] | null;
            /**
             * Unfed
             * @default []
             */
            unfed?: string[];
            /**
             * Left
             * @default []
             */
            left?: components["schemas"]["LeftAnswer"][];
            /**
             * Why
             * @default []
             */
            why?: string[];
            /**
             * Repairs
             * @default []
             */
            repairs?: components["schemas"]["RepairAnswer"][];
        };
        /**
         * MapOut
         * @description A map that is asked for: how far it is, and what came of it. `version` is the build's that it
         *     is of; `wish` what was asked for. Where it waits for long: why, or on what the workers are.
         */
        MapOut: {
            /**
             * State
             * @enum {string}
             */
            state: "none" | "waiting" | "running" | "done" | "stopped" | "failed";
            /**
             * @default {
             *       "what": "all",
             *       "part": ""
             *     }
             */
            wish?: components["schemas"]["Wish"];
            /**
             * Version
             * @default 0
             */
            version?: number;
            /**
             * Done
             * @default 0
             */
            done?: number;
            /**
             * Of
             * @default 0
             */
            of?: number;
            /**
             * Error
             * @default
             */
            error?: string;
            /**
             * Waits
             * @default
             */
            waits?: string;
            /**
             * Busy
             * @default []
             */
            busy?: components["schemas"]["BusyOut"][];
            answer?: components["schemas"]["MapAnswer"] | null;
        };
        /**
         * RepairAnswer
         * @description A way to a whole map in words, with the edit that takes it, what it costs and the moves that
         *     it takes.
         */
        RepairAnswer: {
            /** Id */
            id: string;
            /** Text */
            text: string;
            price: components["schemas"]["PriceAnswer"];
            edit: components["schemas"]["TakeMap"];
            /** Swaps */
            swaps: components["schemas"]["SwapAnswer"][];
        };
        /**
         * SwapAnswer
         * @description What changes of one cable, or of one thing in between, end by end; how many plugs stay.
         *     `does`: whether it comes out for good, is plugged otherwise, is new, or only stays.
         */
        SwapAnswer: {
            /** Cable */
            cable: string;
            /** Name */
            name: string;
            /**
             * Does
             * @enum {string}
             */
            does: "goes out" | "changes" | "comes in" | "stays";
            /** Ends */
            ends: components["schemas"]["EndAnswer"][];
            /** Stays */
            stays: number;
        };
        /**
         * Wish
         * @description What to map: `all` anew, the `rest` beside what is there, the sockets of one `part`, or with
         *     the `least` change. Pinned runs stay always.
         */
        Wish: {
            /**
             * What
             * @default all
             * @enum {string}
             */
            what?: "all" | "rest" | "part" | "least";
            /**
             * Part
             * @default
             */
            part?: string;
        };
        /**
         * MapIn
         * @description A map to be made, and the version of the build that it is asked of.
         */
        MapIn: {
            /**
             * What
             * @default all
             * @enum {string}
             */
            what?: "all" | "rest" | "part" | "least";
            /**
             * Part
             * @default
             */
            part?: string;
            /** Base Version */
            base_version: number;
        };
        /**
         * FeedOut
         * @description Whether a supply feeds all sockets of a build: how many it leaves; none yet: not known.
         */
        FeedOut: {
            /** Slug */
            slug: string;
            /** Unfed */
            unfed: number;
            /** Needed */
            needed: number;
            /** Text */
            text: string;
        };
        /**
         * InsteadOut
         * @description What a part may come in place of.
         */
        InsteadOut: {
            /** Key */
            key: string;
            /** Words */
            words: string;
            /** Taken */
            taken: boolean;
        };
        /**
         * QuestionAnswer
         * @description The answer to a question: whether it goes in, in a sentence; the six verdicts; ways that mend
         *     what fails, the cheapest first; what is bought.
         */
        QuestionAnswer: {
            /** Asked */
            asked: string;
            /** Build */
            build: string;
            /**
             * Goes
             * @enum {string}
             */
            goes: "goes in" | "goes in with" | "does not go in" | "not known";
            /** Text */
            text: string;
            overall: components["schemas"]["Overall"];
            price: components["schemas"]["PriceAnswer"];
            /** Verdicts */
            verdicts: components["schemas"]["VerdictAnswer"][];
            /** Ways */
            ways: components["schemas"]["WayAnswer"][];
            /**
             * To Buy
             * @default []
             */
            to_buy?: string[];
            /**
             * Undecided
             * @default
             */
            undecided?: string;
        };
        /**
         * QuestionOut
         * @description A question: what is open of it, with lines that would answer; or how far its answer is. `id`
         *     0: it was not understood. `instead`: what its part may come in place of; `current`: it is of
         *     the build as it is.
         */
        QuestionOut: {
            /**
             * Id
             * @default 0
             */
            id?: number;
            /** Text */
            text: string;
            /**
             * Asked
             * @default
             */
            asked?: string;
            /**
             * State
             * @default open
             */
            state?: string;
            /**
             * Version
             * @default 0
             */
            version?: number;
            /**
             * Current
             * @default true
             */
            current?: boolean;
            /**
             * Question
             * @default
             */
            question?: string;
            /**
             * Choices
             * @default []
             */
            choices?: string[];
            /**
             * Unknown
             * @default []
             */
            unknown?: string[];
            /**
             * Left Out
             * @default []
             */
            left_out?: string[];
            /**
             * Instead
             * @default []
             */
            instead?: components["schemas"]["InsteadOut"][];
            /**
             * Error
             * @default
             */
            error?: string;
            /**
             * Waits
             * @default
             */
            waits?: string;
            /**
             * Busy
             * @default []
             */
            busy?: components["schemas"]["BusyOut"][];
            answer?: components["schemas"]["QuestionAnswer"] | null;
        };
        /**
         * VerdictAnswer
         * @description One verdict: its deciding number, the same of the build as it is, a sentence, and what else
         *     there is to be said. `was`: how it stands now.
         */
        VerdictAnswer: {
            /**
             * Id
             * @enum {string}
             */
            id: "watts" | "leads" | "room" | "air" | "cost" | "work";
            /** Title */
            title: string;
            /**
             * Status
             * @enum {string}
             */
            status: "pass" | "warn" | "fail" | "unknown" | "not checked";
            /**
             * Was
             * @enum {string}
             */
            was: "pass" | "warn" | "fail" | "unknown" | "not checked";
            /** Figure */
            figure: string;
            /** Now */
            now: string;
            /** Text */
            text: string;
            /**
             * More
             * @default []
             */
            more?: string[];
            /**
             * Schools
             * @default []
             */
            schools?: string[];
        };
        /**
         * WayAnswer
         * @description A way to make it go, worked out on the whole build: what it does, which verdicts it mends,
         *     what it costs, how each verdict then stands. `at`: its place among what may be taken.
         */
        WayAnswer: {
            /** At */
            at: number;
            /** Text */
            text: string;
            /** Mends */
            mends: ("watts" | "leads" | "room" | "air" | "cost" | "work")[];
            price: components["schemas"]["PriceAnswer"];
            overall: components["schemas"]["Overall"];
            /** Verdicts */
            verdicts: components["schemas"]["VerdictAnswer"][];
        };
        /**
         * QuestionIn
         * @description A question in words; `instead`: what its part is to come in place of, by key.
         */
        QuestionIn: {
            /** Base Version */
            base_version: number;
            /** Text */
            text: string;
            /**
             * Instead
             * @default
             */
            instead?: string;
        };
        /**
         * AskedBefore
         * @description A question that was asked of this build before.
         */
        AskedBefore: {
            /** Id */
            id: number;
            /** Text */
            text: string;
            /** Goes */
            goes: string;
            /** Current */
            current: boolean;
        };
        /**
         * TakeAnswerIn
         * @description Take an answer: as asked (0), or by one of its ways.
         */
        TakeAnswerIn: {
            /** Base Version */
            base_version: number;
            /**
             * At
             * @default 0
             */
            at?: number;
        };
        /**
         * VariantIn
         * @description Make an answer a variant: as asked (0), or by one of its ways.
         */
        VariantIn: {
            /**
             * At
             * @default 0
             */
            at?: number;
            /**
             * Name
             * @default
             */
            name?: string;
        };
        /**
         * CellAnswer
         * @description What a side comes to in a line; `status` where it is judged.
         */
        CellAnswer: {
            /** Text */
            text: string;
            /**
             * Status
             * @default
             */
            status?: ("pass" | "warn" | "fail" | "unknown" | "not checked") | "";
        };
        /**
         * ComparedAnswer
         * @description Up to four builds beside each other: groups of lines with their words, and the lines.
         */
        ComparedAnswer: {
            /** Sides */
            sides: components["schemas"]["SideAnswer"][];
            /** Groups */
            groups: [
                string,
                string
            ][];
            /** Lines */
            lines: components["schemas"]["LineAnswer"][];
        };
        /**
         * LineAnswer
         * @description One line of a comparison, a cell a side; whether they differ.
         */
        LineAnswer: {
            /** Group */
            group: string;
            /** Words */
            words: string;
            /** Cells */
            cells: components["schemas"]["CellAnswer"][];
            /** Differs */
            differs: boolean;
        };
        /**
         * SideAnswer
         * @description One of those that are compared: its name, the verdict on it, what it costs from how the
         *     machine stands; what a school says of itself, and what it would take.
         */
        SideAnswer: {
            /** Name */
            name: string;
            /** Note */
            note: string;
            /** Takes */
            takes: string;
            overall: components["schemas"]["Overall"];
            price: components["schemas"]["PriceAnswer"];
        };
        /**
         * School
         * @description How some builders go about it: positions of house rules by their names; rules of which it
         *     says nothing stay as they are.
         */
        School: {
            /** Id */
            id: string;
            /** Name */
            name: string;
            /**
             * Text
             * @description why one would
             * @default
             */
            text?: string;
            /**
             * Risk
             * @description what one risks by it
             * @default
             */
            risk?: string;
            /** Positions */
            positions: {
                [key: string]: unknown;
            };
        };
        /**
         * SchoolOut
         * @description A school; whether it is one's own.
         */
        SchoolOut: {
            school: components["schemas"]["School"];
            /** Own */
            own: boolean;
        };
        /**
         * SchoolIn
         * @description A school to keep: a name, why, what it risks, and positions of house rules.
         */
        SchoolIn: {
            /** Name */
            name: string;
            /**
             * Text
             * @default
             */
            text?: string;
            /**
             * Risk
             * @default
             */
            risk?: string;
            /** Positions */
            positions: {
                [key: string]: unknown;
            };
        };
        /**
         * SchoolsState
         * @description A build under every school: how far that is, and what came of it.
         */
        SchoolsState: {
            /**
             * State
             * @default none
             * @enum {string}
             */
            state?: "none" | "waiting" | "running" | "done" | "stopped" | "failed";
            /**
             * Done
             * @default 0
             */
            done?: number;
            /**
             * Of
             * @default 0
             */
            of?: number;
            /**
             * Error
             * @default
             */
            error?: string;
            /**
             * Waits
             * @default
             */
            waits?: string;
            /**
             * Busy
             * @default []
             */
            busy?: components["schemas"]["BusyOut"][];
            /**
             * Answers
             * @default []
             */
            answers?: components["schemas"]["UnderSchool"][];
        };
        /**
         * UnderSchool
         * @description What becomes of a build under a school: by its id, with the answer.
         */
        UnderSchool: {
            /** Id */
            id: string;
            answer: components["schemas"]["QuestionAnswer"];
        };
        /**
         * MomentOut
         * @description A build as it was: what it is called in a comparison, in words, when; whether it was
         *     marked.
         */
        MomentOut: {
            /** Ref */
            ref: string;
            /** Words */
            words: string;
            /** At */
            at: string;
            /** Marked */
            marked: boolean;
        };
        /**
         * MarkIn
         * @description A name for the build as it is.
         */
        MarkIn: {
            /** Name */
            name: string;
        };
        Act: [
            "found" | "mounted" | "taken out" | "plugged" | "led" | "unplugged" | "looked at" | "put away" | "covers" | "clear" | "made safe" | "tied" | "looked over" | "started" | "measured",
            string,
            string
        ];
        /**
         * AnswerOfStep
         * @description One of the answers that a step asks for, and the acts that it stands for.
         */
        AnswerOfStep: {
            /** Id */
            id: string;
            /** Words */
            words: string;
            /** Acts */
            acts: components["schemas"]["Act"][];
        };
        /**
         * Joint
         * @description One end of a run in its port or its socket. `key` stays the same while the two ends do:
         *     what is done is found by it, whatever else the map changes.
         */
        Joint: {
            /** Key */
            key: string;
            /**
             * Kind
             * @enum {string}
             */
            kind: "port" | "plug";
            /** Cable */
            cable: string;
            /** Name */
            name: string;
            /** Port */
            port: string;
            /** Plug */
            plug: string;
            /** Face */
            face: string;
            /** Latch */
            latch: boolean;
            /** Socket */
            socket: string;
            /** Where */
            where: string;
            /** Looks */
            looks: components["schemas"]["Look"][];
            /** Matings */
            matings?: number | null;
        };
        /**
         * Look
         * @description One thing to look at: a stable id, and what to see.
         */
        Look: {
            /** Id */
            id: string;
            /** Text */
            text: string;
        };
        /**
         * PlanOut
         * @description The work on a machine: steps, the first that is open, what it takes, what stops it. `minutes`
         *     by how long such steps took, None where nobody knows; `is_known`: the record says how it
         *     stands.
         */
        PlanOut: {
            /** Version */
            version: number;
            /** Steps */
            steps: components["schemas"]["StepOut"][];
            /** Next */
            next: string;
            /** Left */
            left: number;
            /** Tools */
            tools: string[];
            /** Minutes */
            minutes: number | null;
            /** Is Known */
            is_known: boolean;
            /** Stopped */
            stopped: string;
            /** Stopped At */
            stopped_at: string;
        };
        /**
         * Shown
         * @description Something to be photographed, and the places that are seen on it.
         */
        Shown: {
            /** Words */
            words: string;
            /** Places */
            places: string[];
        };
        /**
         * Step
         * @description One step: a stable id, what to do, why, what may hurt, what to look at, and the joint that it
         *     makes where it makes one. `note`: what is to be noted there, as its label.
         */
        Step: {
            /** Id */
            id: string;
            /**
             * Group
             * @enum {string}
             */
            group: "before" | "out" | "away" | "cables" | "supply" | "seat" | "case" | "board" | "small" | "card" | "drives" | "after";
            /** Title */
            title: string;
            /**
             * Text
             * @default []
             */
            text?: string[];
            /**
             * Caution
             * @default
             */
            caution?: string;
            /**
             * Looks
             * @default []
             */
            looks?: components["schemas"]["Look"][];
            joint?: components["schemas"]["Joint"] | null;
            /**
             * Note
             * @default
             */
            note?: string;
            /**
             * Acts
             * @default []
             */
            acts?: components["schemas"]["Act"][];
            /**
             * Answers
             * @default []
             */
            answers?: components["schemas"]["AnswerOfStep"][];
            /**
             * Places
             * @default []
             */
            places?: string[];
            /**
             * Shows
             * @default []
             */
            shows?: components["schemas"]["Shown"][];
        };
        /**
         * StepOut
         * @description A step with what is done of it: by whom and when; what was noted; photos by their keys.
         */
        StepOut: {
            step: components["schemas"]["Step"];
            /** Of */
            of: string;
            /** Group */
            group: string;
            /**
             * State
             * @enum {string}
             */
            state: "open" | "done" | "stands";
            /** Acts */
            acts: components["schemas"]["Act"][];
            /** Done */
            done: boolean;
            /** Who */
            who: string;
            /** At */
            at: string;
            /** Noted */
            noted: string;
            /** Photos */
            photos: string[];
            /** Matings */
            matings: number | null;
        };
        /**
         * EntriesIn
         * @description Several, in the order in which they were done.
         */
        EntriesIn: {
            /** Entries */
            entries: components["schemas"]["EntryIn"][];
        };
        /**
         * EntryIn
         * @description One thing done or found; `uid` is the sender's own, `at` a time with its zone.
         */
        EntryIn: {
            /** Uid */
            uid: string;
            /** Step */
            step: string;
            /**
             * Kind
             * @enum {string}
             */
            kind: "done" | "undone" | "found" | "warm" | "browned" | "loose" | "looked at" | "note" | "photo";
            /** Words */
            words: string;
            /** At */
            at: string;
            /**
             * Who
             * @default
             */
            who?: string;
            /**
             * Text
             * @default
             */
            text?: string;
            /**
             * Of
             * @default
             */
            of?: string;
            /**
             * Acts
             * @default []
             */
            acts?: string[][];
        };
        /**
         * FoundAs
         * @description What may be found at a place: how it is called, and the acts that say so.
         */
        FoundAs: {
            /** Id */
            id: string;
            /** Words */
            words: string;
            /** Acts */
            acts: components["schemas"]["Act"][];
        };
        /**
         * FoundPlace
         * @description A socket, or the supply end of a cable, with what may be found there. `wanted`, `stands`: ids
         *     of choices, by the build and by the record; empty where that says nothing.
         */
        FoundPlace: {
            /** Place */
            place: string;
            /** Words */
            words: string;
            /** Group */
            group: string;
            /** Choices */
            choices: components["schemas"]["FoundAs"][];
            /** Wanted */
            wanted: string;
            /** Stands */
            stands: string;
        };
        /**
         * PlacesOut
         * @description What may be found where in a machine that runs: `whole` and `parts` are the acts that take it
         *     over at once, or but for its power plugs.
         */
        PlacesOut: {
            /** Version */
            version: number;
            /** Whole */
            whole: components["schemas"]["Act"][];
            /** Parts */
            parts: components["schemas"]["Act"][];
            /** Places */
            places: components["schemas"]["FoundPlace"][];
        };
        /**
         * NotedOut
         * @description One entry of the record.
         */
        NotedOut: {
            /** At */
            at: string;
            /** Who */
            who: string;
            /** Kind */
            kind: string;
            /** Step */
            step: string;
            /** Words */
            words: string;
            /** Text */
            text: string;
            /** Version */
            version: number;
        };
        /**
         * RecordOut
         * @description The history of the machine, newest first, and the last entries of its record, newest
         *     first; `of` counts all entries.
         */
        RecordOut: {
            /** Sittings */
            sittings: components["schemas"]["SittingOut"][];
            /** Entries */
            entries: components["schemas"]["NotedOut"][];
            /** Of */
            of: number;
        };
        /**
         * SittingOut
         * @description One sitting of the machine's history.
         */
        SittingOut: {
            /** What */
            what: string[];
            /** Begun */
            begun: string;
            /** Ended */
            ended: string;
            /** Who */
            who: string[];
            /** Versions */
            versions: [
                number,
                number
            ];
            /** Made */
            made: number;
            /** Apart */
            apart: number;
            /** Bad */
            bad: number;
        };
        /**
         * ChannelWords
         * @description A channel that can be measured of a build.
         */
        ChannelWords: {
            /** Channel */
            channel: string;
            /** Words */
            words: string;
            /** Instrument */
            instrument: string;
            /** Unit */
            unit: string;
        };
        /**
         * PlaceOut
         * @description A kind of fault, in words, and where in this build it can sit.
         */
        PlaceOut: {
            /** Kind */
            kind: string;
            /** Words */
            words: string;
            /** Places */
            places: [
                string,
                string
            ][];
        };
        /**
         * ReadingsOut
         * @description The sets of a build, newest first; what can be measured of it; faults it can have.
         */
        ReadingsOut: {
            /** Sets */
            sets: components["schemas"]["TakenOut"][];
            /** Channels */
            channels: components["schemas"]["ChannelWords"][];
            /** Faults */
            faults: components["schemas"]["PlaceOut"][];
        };
        /**
         * TakenOut
         * @description A set of readings: what it is, how many samples, whether it still comes in.
         */
        TakenOut: {
            /** Key */
            key: string;
            /** Name */
            name: string;
            /** Source */
            source: string;
            /** State */
            state: string;
            /** Said */
            said: string;
            /** Channels */
            channels: components["schemas"]["ChannelWords"][];
            /** Samples */
            samples: number;
            /** Seconds */
            seconds: number;
            /** Began */
            began: string;
            /** At */
            at: string;
            /** Problems */
            problems: {
                [key: string]: unknown;
            }[];
        };
        /**
         * TypedIn
         * @description Figures read off, each of a channel in a state.
         */
        TypedIn: {
            /**
             * Name
             * @default
             */
            name?: string;
            /** Rows */
            rows: [
                string,
                "sleep" | "idle" | "everyday" | "full" | "start" | "short",
                number
            ][];
        };
        /**
         * SimulateIn
         * @description Simulated instruments: how long each state lasts [s], samples a second, from which seed, with
         *     which fault where.
         */
        SimulateIn: {
            /**
             * States
             * @default [
             *       [
             *         "idle",
             *         30
             *       ],
             *       [
             *         "everyday",
             *         60
             *       ],
             *       [
             *         "full",
             *         120
             *       ]
             *     ]
             */
            states?: [
                "sleep" | "idle" | "everyday" | "full" | "start" | "short",
                number
            ][];
            /**
             * Rate Hz
             * @default 10
             */
            rate_hz?: number;
            /**
             * Seed
             * @default 1
             */
            seed?: number;
            /**
             * Fault
             * @default
             */
            fault?: string;
            /**
             * At
             * @default
             */
            at?: string;
        };
        /**
         * StreamIn
         * @description Instruments on a local socket, or simulated ones that are started for it.
         */
        StreamIn: {
            /**
             * Address
             * @default
             */
            address?: string;
            /**
             * Simulated
             * @default false
             */
            simulated?: boolean;
            /**
             * Name
             * @default
             */
            name?: string;
            /**
             * Speed
             * @default 1
             */
            speed?: number;
            /**
             * Seed
             * @default 1
             */
            seed?: number;
            /**
             * Fault
             * @default
             */
            fault?: string;
            /**
             * At
             * @default
             */
            at?: string;
        };
        /**
         * ColumnOut
         * @description A column of a file, and what it is taken for; empty: not recognised.
         */
        ColumnOut: {
            /** Head */
            head: string;
            /** Means */
            means: string;
        };
        /**
         * HeadIn
         * @description The first lines of a file.
         */
        HeadIn: {
            /** Text */
            text: string;
        };
        /**
         * NamesIn
         * @description What columns mean, by their heads.
         */
        NamesIn: {
            /** Names */
            names: {
                [key: string]: string;
            };
        };
        /**
         * ReadingOut
         * @description A file that is being read. Where it waits for long: why, or on what its reader is.
         */
        ReadingOut: {
            /** Key */
            key: string;
            /** State */
            state: string;
            /** Done */
            done: number;
            /** Of */
            of: number;
            /** Taken */
            taken: string;
            /** Problems */
            problems: {
                [key: string]: unknown;
            }[];
            /** Of Problems */
            of_problems: number;
            /** Error */
            error: string;
            /** Waits */
            waits: string;
            /** Busy */
            busy: components["schemas"]["BusyOut"][];
        };
        /**
         * ChannelFigures
         * @description A channel in a state: its statistics in its unit, and what the tally expects.
         */
        ChannelFigures: {
            /** Channel */
            channel: string;
            /** Words */
            words: string;
            /** Instrument */
            instrument: string;
            /** Unit */
            unit: string;
            /** State */
            state: string;
            /** Mean */
            mean: number;
            /** High */
            high: number;
            /** Top */
            top: number;
            /** Worst */
            worst: number;
            /** Settle S */
            settle_s: number;
            band: components["schemas"]["ReadingBand"];
        };
        /**
         * HeldAnswer
         * @description Readings held against a build.
         */
        HeldAnswer: {
            /** Verdict */
            verdict: string;
            /** Named */
            named: components["schemas"]["NamedAnswer"][];
            /** Found */
            found: components["schemas"]["ReadingSaid"][];
            /** Figures */
            figures: components["schemas"]["ChannelFigures"][];
            /** Plugs */
            plugs: components["schemas"]["PlugBars"][];
        };
        /**
         * NamedAnswer
         * @description A span of time in a state, recognised or named.
         */
        NamedAnswer: {
            /** From S */
            from_s: number;
            /** To S */
            to_s: number;
            /**
             * State
             * @enum {string}
             */
            state: "sleep" | "idle" | "everyday" | "full" | "start" | "short";
            /** Recognised */
            recognised: boolean;
        };
        /**
         * PinBar
         * @description One pin of a plug: its mean [A].
         */
        PinBar: {
            /** Pin */
            pin: number;
            /** Mean */
            mean: number;
        };
        /**
         * PlugBars
         * @description The metered pins of a plug in a state, with the limit of each [A].
         */
        PlugBars: {
            /** Ref */
            ref: string;
            /** Words */
            words: string;
            /** State */
            state: string;
            /** Pins */
            pins: components["schemas"]["PinBar"][];
            /** Mean */
            mean: number;
            /** Share */
            share: number;
            /** Limit */
            limit: number | null;
            /** Tight */
            tight: number | null;
        };
        /**
         * ReadingBand
         * @description A channel as it is drawn in a state: expected low, likely and high; limits.
         */
        ReadingBand: {
            /** Channel */
            channel: string;
            /** State */
            state: string;
            /** Low */
            low: number | null;
            /** Likely */
            likely: number | null;
            /** High */
            high: number | null;
            /** Least */
            least: number | null;
            /** Most */
            most: number | null;
        };
        /**
         * ReadingSaid
         * @description One finding in words: what was found, what to look at.
         */
        ReadingSaid: {
            /** Id */
            id: string;
            /** Severity */
            severity: string;
            /** Channel */
            channel: string;
            /** State */
            state: string;
            /** Text */
            text: string;
            /** Look */
            look: string;
        };
        /**
         * NamedIn
         * @description A span of time in a state.
         */
        NamedIn: {
            /** From S */
            from_s: number;
            /** To S */
            to_s: number;
            /**
             * State
             * @enum {string}
             */
            state: "sleep" | "idle" | "everyday" | "full" | "start" | "short";
        };
        /**
         * Drawn
         * @description Times [s] at which buckets begin, and the least and the most of each; None: a gap.
         */
        Drawn: {
            /** Times */
            times: number[];
            /** Low */
            low: (number | null)[];
            /** High */
            high: (number | null)[];
        };
        /**
         * DrawnOut
         * @description A channel between two times.
         */
        DrawnOut: {
            /** Channel */
            channel: string;
            drawn: components["schemas"]["Drawn"];
        };
        /**
         * SettledOut
         * @description A figure that readings settle, and the edit that takes it over.
         */
        SettledOut: {
            /** Of */
            of: string;
            /** Name */
            name: string;
            /** Field */
            field: string;
            /** Now */
            now: [
                number,
                number,
                number
            ] | null;
            /** Origin */
            origin: string;
            /** Then */
            then: [
                number,
                number,
                number
            ];
            /** Unit */
            unit: string;
            /** Instrument */
            instrument: string;
            /** Edit */
            edit: components["schemas"]["AddPart"] | components["schemas"]["AddParts"] | components["schemas"]["ChangePart"] | components["schemas"]["TakeEntry"] | components["schemas"]["RemovePart"] | components["schemas"]["ChangeBuild"] | components["schemas"]["TakeSupply"] | components["schemas"]["ChangeSupply"] | components["schemas"]["AddCable"] | components["schemas"]["ChangeCable"] | components["schemas"]["RemoveCable"] | components["schemas"]["AddBetween"] | components["schemas"]["Become"] | components["schemas"]["ChangeBetween"] | components["schemas"]["RemoveBetween"] | components["schemas"]["Connect"] | components["schemas"]["Exchange"] | components["schemas"]["FindOut"] | components["schemas"]["Park"] | components["schemas"]["Pin"] | components["schemas"]["PlugIn"] | components["schemas"]["SwapPlugs"] | components["schemas"]["TakeMap"] | components["schemas"]["Unplug"];
        };
        /**
         * AttemptOut
         * @description An answer that was given.
         */
        AttemptOut: {
            /** Exercise */
            exercise: number;
            /** At */
            at: string;
            /** Right Joint */
            right_joint: boolean;
            /** Right Reason */
            right_reason: boolean;
            /** Looks */
            looks: number;
            /** Reason */
            reason: string;
        };
        /**
         * ExerciseOut
         * @description An exercise in the list: what machine, what there is to measure with, how it went.
         */
        ExerciseOut: {
            /** Number */
            number: number;
            /** Machine */
            machine: string;
            /** Instruments */
            instruments: string[];
            /** Tries */
            tries: number;
            /** Solved */
            solved: boolean;
        };
        /**
         * TrainerOut
         * @description All exercises in order of difficulty, and the last answers.
         */
        TrainerOut: {
            /** Exercises */
            exercises: components["schemas"]["ExerciseOut"][];
            /** Attempts */
            attempts: components["schemas"]["AttemptOut"][];
        };
        /**
         * Choice
         * @description A joint that may be the answer.
         */
        Choice: {
            /** Ref */
            ref: string;
            /** Words */
            words: string;
            /** Port */
            port: string;
        };
        /**
         * PlayedOut
         * @description An exercise being played: figures without sentences, joints and reasons to choose from.
         */
        PlayedOut: {
            /** Number */
            number: number;
            /** Machine */
            machine: string;
            held: components["schemas"]["HeldAnswer"];
            /** Channels */
            channels: components["schemas"]["ChannelWords"][];
            /** Seconds */
            seconds: number;
            /** Joints */
            joints: components["schemas"]["Choice"][];
            /** Reasons */
            reasons: [
                string,
                string
            ][];
        };
        /**
         * SeenOut
         * @description What one sees there.
         */
        SeenOut: {
            /** Text */
            text: string;
        };
        /**
         * LookIn
         * @description A joint that one looks at.
         */
        LookIn: {
            /** Joint */
            joint: string;
        };
        /**
         * Judged
         * @description An answer judged: joint and reason each; what was planted, and what shows it.
         */
        Judged: {
            /** Right Joint */
            right_joint: boolean;
            /** Right Reason */
            right_reason: boolean;
            /** Joint */
            joint: string;
            /** Reason */
            reason: string;
            /** Numbers */
            numbers: string[];
        };
        /**
         * AnswerIn
         * @description An answer: which joint, why, after how many looks.
         */
        AnswerIn: {
            /** Joint */
            joint: string;
            /** Reason */
            reason: string;
            /**
             * Looks
             * @default 0
             */
            looks?: number;
        };
        /**
         * HereOut
         * @description Who asks: the desk, or a device with what it may do, at the door of which build.
         */
        HereOut: {
            /** Is Device */
            is_device: boolean;
            /**
             * Name
             * @default
             */
            name?: string;
            /**
             * Allows
             * @default everything
             * @enum {string}
             */
            allows?: "look" | "bench" | "everything";
            /**
             * Build
             * @default
             */
            build?: string;
            /**
             * Closes At
             * @default
             */
            closes_at?: string;
        };
        /**
         * NewsOut
         * @description The version of a build, and stamps of its record and its readings: another one, something is
         *     new. `allows`: what the one who asks may do; `door`: until when the network's door is open,
         *     empty: it is shut.
         */
        NewsOut: {
            /** Version */
            version: number;
            /** Bench */
            bench: string;
            /** Readings */
            readings: string;
            /**
             * Allows
             * @enum {string}
             */
            allows: "look" | "bench" | "everything";
            /** Door */
            door: string;
        };
        /**
         * DeviceOut
         * @description A device that is in; times with their zone.
         */
        DeviceOut: {
            /** Id */
            id: number;
            /** Name */
            name: string;
            /**
             * Allows
             * @enum {string}
             */
            allows: "look" | "bench" | "everything";
            /** Let In At */
            let_in_at: string;
            /** Seen At */
            seen_at: string;
        };
        /**
         * DoorOut
         * @description The door as it is. Closed: where it could stand, and why it can't be opened, if so. Open: for
         *     which build, until when, its address, its code (void: ""), the devices that are in.
         *     `is_private`: what goes to and fro is hidden from others on the network; `is_gone`: the machine
         *     no longer has that address.
         */
        DoorOut: {
            /** Is Open */
            is_open: boolean;
            /** Can Open */
            can_open: boolean;
            /** Addresses */
            addresses: string[];
            /** Most Hours */
            most_hours: number;
            /** Is Private */
            is_private: boolean;
            /**
             * Build
             * @default
             */
            build?: string;
            /**
             * Build Name
             * @default
             */
            build_name?: string;
            /**
             * Url
             * @default
             */
            url?: string;
            /**
             * Closes At
             * @default
             */
            closes_at?: string;
            /**
             * Is Gone
             * @default false
             */
            is_gone?: boolean;
            /**
             * Code
             * @default
             */
            code?: string;
            /**
             * Code Until
             * @default
             */
            code_until?: string;
            /**
             * Code Allows
             * @default bench
             * @enum {string}
             */
            code_allows?: "look" | "bench" | "everything";
            /**
             * Wrong
             * @default 0
             */
            wrong?: number;
            /**
             * Devices
             * @default []
             */
            devices?: components["schemas"]["DeviceOut"][];
        };
        /**
         * OpenDoorIn
         * @description For which build, how many hours, at which address of this machine.
         */
        OpenDoorIn: {
            /** Build */
            build: string;
            /** Hours */
            hours: number;
            /** Address */
            address: string;
        };
        /**
         * AllowsIn
         * @description What a device may do.
         */
        AllowsIn: {
            /**
             * Allows
             * @enum {string}
             */
            allows: "look" | "bench" | "everything";
        };
        /** @description An error (RFC 9457). `type` tells which; what it has more depends on it. */
        Problem: {
            /** @description urn:easy-tally: and the kind */
            type: string;
            title: string;
            status: number;
            detail: string;
            /** @description of a fault: the request's id, as the log has it */
            request?: string;
            /** @description of bad input: each thing that is wrong */
            problems?: {
                field: string;
                required: string;
                got: string;
            }[];
            /** @description of a stale edit: what somebody else changed meanwhile */
            conflicts?: {
                path: string;
                yours: unknown;
                theirs: unknown;
            }[];
            /** @description of a stale edit: the build's version now */
            version?: number;
            /** @description of an edit that would unplug something: what */
            released?: string[];
            /** @description of a thing in use: the key of the build that it is in */
            build?: string;
        };
    };
    responses: {
        /** @description unreadable */
        Problem400: {
            headers: {
                [name: string]: unknown;
            };
            content: {
                "application/problem+json": components["schemas"]["Problem"];
            };
        };
        /** @description forbidden */
        Problem403: {
            headers: {
                [name: string]: unknown;
            };
            content: {
                "application/problem+json": components["schemas"]["Problem"];
            };
        };
        /** @description not-there, no-build */
        Problem404: {
            headers: {
                [name: string]: unknown;
            };
            content: {
                "application/problem+json": components["schemas"]["Problem"];
            };
        };
        /** @description method */
        Problem405: {
            headers: {
                [name: string]: unknown;
            };
            content: {
                "application/problem+json": components["schemas"]["Problem"];
            };
        };
        /** @description stale, would-release, in-use */
        Problem409: {
            headers: {
                [name: string]: unknown;
            };
            content: {
                "application/problem+json": components["schemas"]["Problem"];
            };
        };
        /** @description too-large */
        Problem413: {
            headers: {
                [name: string]: unknown;
            };
            content: {
                "application/problem+json": components["schemas"]["Problem"];
            };
        };
        /** @description bad-input, refused, unreadable */
        Problem422: {
            headers: {
                [name: string]: unknown;
            };
            content: {
                "application/problem+json": components["schemas"]["Problem"];
            };
        };
        /** @description fault */
        Problem500: {
            headers: {
                [name: string]: unknown;
            };
            content: {
                "application/problem+json": components["schemas"]["Problem"];
            };
        };
        /** @description read-only, disk-failed, damaged, busy */
        Problem503: {
            headers: {
                [name: string]: unknown;
            };
            content: {
                "application/problem+json": components["schemas"]["Problem"];
            };
        };
        /** @description disk-full */
        Problem507: {
            headers: {
                [name: string]: unknown;
            };
            content: {
                "application/problem+json": components["schemas"]["Problem"];
            };
        };
    };
    parameters: never;
    requestBodies: never;
    headers: never;
    pathItems: never;
}
export type $defs = Record<string, never>;
export interface operations {
    listBuilds: {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description OK */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["BuildCard"][];
                };
            };
            400: components["responses"]["Problem400"];
            403: components["responses"]["Problem403"];
            404: components["responses"]["Problem404"];
            405: components["responses"]["Problem405"];
            409: components["responses"]["Problem409"];
            413: components["responses"]["Problem413"];
            422: components["responses"]["Problem422"];
            500: components["responses"]["Problem500"];
            503: components["responses"]["Problem503"];
            507: components["responses"]["Problem507"];
        };
    };
    createBuild: {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["NewIn"];
            };
        };
        responses: {
            /** @description Created */
            201: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["BuildOut"];
                };
            };
            400: components["responses"]["Problem400"];
            403: components["responses"]["Problem403"];
            404: components["responses"]["Problem404"];
            405: components["responses"]["Problem405"];
            409: components["responses"]["Problem409"];
            413: components["responses"]["Problem413"];
            422: components["responses"]["Problem422"];
            500: components["responses"]["Problem500"];
            503: components["responses"]["Problem503"];
            507: components["responses"]["Problem507"];
        };
    };
    openBuild: {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["OpenIn"];
            };
        };
        responses: {
            /** @description Created */
            201: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["BuildOut"];
                };
            };
            400: components["responses"]["Problem400"];
            403: components["responses"]["Problem403"];
            404: components["responses"]["Problem404"];
            405: components["responses"]["Problem405"];
            409: components["responses"]["Problem409"];
            413: components["responses"]["Problem413"];
            422: components["responses"]["Problem422"];
            500: components["responses"]["Problem500"];
            503: components["responses"]["Problem503"];
            507: components["responses"]["Problem507"];
        };
    };
    getBuild: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                key: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description OK */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["BuildOut"];
                };
            };
            400: components["responses"]["Problem400"];
            403: components["responses"]["Problem403"];
            404: components["responses"]["Problem404"];
            405: components["responses"]["Problem405"];
            409: components["responses"]["Problem409"];
            413: components["responses"]["Problem413"];
            422: components["responses"]["Problem422"];
            500: components["responses"]["Problem500"];
            503: components["responses"]["Problem503"];
            507: components["responses"]["Problem507"];
        };
    };
    removeBuild: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                key: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description No Content */
            204: {
                headers: {
                    [name: string]: unknown;
                };
                content?: never;
            };
            400: components["responses"]["Problem400"];
            403: components["responses"]["Problem403"];
            404: components["responses"]["Problem404"];
            405: components["responses"]["Problem405"];
            409: components["responses"]["Problem409"];
            413: components["responses"]["Problem413"];
            422: components["responses"]["Problem422"];
            500: components["responses"]["Problem500"];
            503: components["responses"]["Problem503"];
            507: components["responses"]["Problem507"];
        };
    };
    copyBuild: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                key: string;
            };
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["NameIn"];
            };
        };
        responses: {
            /** @description Created */
            201: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["BuildOut"];
                };
            };
            400: components["responses"]["Problem400"];
            403: components["responses"]["Problem403"];
            404: components["responses"]["Problem404"];
            405: components["responses"]["Problem405"];
            409: components["responses"]["Problem409"];
            413: components["responses"]["Problem413"];
            422: components["responses"]["Problem422"];
            500: components["responses"]["Problem500"];
            503: components["responses"]["Problem503"];
            507: components["responses"]["Problem507"];
        };
    };
    makeVariant: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                key: string;
            };
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["NameIn"];
            };
        };
        responses: {
            /** @description Created */
            201: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["BuildOut"];
                };
            };
            400: components["responses"]["Problem400"];
            403: components["responses"]["Problem403"];
            404: components["responses"]["Problem404"];
            405: components["responses"]["Problem405"];
            409: components["responses"]["Problem409"];
            413: components["responses"]["Problem413"];
            422: components["responses"]["Problem422"];
            500: components["responses"]["Problem500"];
            503: components["responses"]["Problem503"];
            507: components["responses"]["Problem507"];
        };
    };
    takeVariant: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                key: string;
            };
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["TakeVariantIn"];
            };
        };
        responses: {
            /** @description OK */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["WrittenOut"];
                };
            };
            400: components["responses"]["Problem400"];
            403: components["responses"]["Problem403"];
            404: components["responses"]["Problem404"];
            405: components["responses"]["Problem405"];
            409: components["responses"]["Problem409"];
            413: components["responses"]["Problem413"];
            422: components["responses"]["Problem422"];
            500: components["responses"]["Problem500"];
            503: components["responses"]["Problem503"];
            507: components["responses"]["Problem507"];
        };
    };
    putInGroup: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                key: string;
            };
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["GroupIn"];
            };
        };
        responses: {
            /** @description No Content */
            204: {
                headers: {
                    [name: string]: unknown;
                };
                content?: never;
            };
            400: components["responses"]["Problem400"];
            403: components["responses"]["Problem403"];
            404: components["responses"]["Problem404"];
            405: components["responses"]["Problem405"];
            409: components["responses"]["Problem409"];
            413: components["responses"]["Problem413"];
            422: components["responses"]["Problem422"];
            500: components["responses"]["Problem500"];
            503: components["responses"]["Problem503"];
            507: components["responses"]["Problem507"];
        };
    };
    buildsInBin: {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description OK */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["InBin"][];
                };
            };
            400: components["responses"]["Problem400"];
            403: components["responses"]["Problem403"];
            404: components["responses"]["Problem404"];
            405: components["responses"]["Problem405"];
            409: components["responses"]["Problem409"];
            413: components["responses"]["Problem413"];
            422: components["responses"]["Problem422"];
            500: components["responses"]["Problem500"];
            503: components["responses"]["Problem503"];
            507: components["responses"]["Problem507"];
        };
    };
    bringBuildBack: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                key: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description OK */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["BackOut"];
                };
            };
            400: components["responses"]["Problem400"];
            403: components["responses"]["Problem403"];
            404: components["responses"]["Problem404"];
            405: components["responses"]["Problem405"];
            409: components["responses"]["Problem409"];
            413: components["responses"]["Problem413"];
            422: components["responses"]["Problem422"];
            500: components["responses"]["Problem500"];
            503: components["responses"]["Problem503"];
            507: components["responses"]["Problem507"];
        };
    };
    saveHistory: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                key: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description OK */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content?: never;
            };
            400: components["responses"]["Problem400"];
            403: components["responses"]["Problem403"];
            404: components["responses"]["Problem404"];
            405: components["responses"]["Problem405"];
            409: components["responses"]["Problem409"];
            413: components["responses"]["Problem413"];
            422: components["responses"]["Problem422"];
            500: components["responses"]["Problem500"];
            503: components["responses"]["Problem503"];
            507: components["responses"]["Problem507"];
        };
    };
    saveBuild: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                key: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description OK */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content?: never;
            };
            400: components["responses"]["Problem400"];
            403: components["responses"]["Problem403"];
            404: components["responses"]["Problem404"];
            405: components["responses"]["Problem405"];
            409: components["responses"]["Problem409"];
            413: components["responses"]["Problem413"];
            422: components["responses"]["Problem422"];
            500: components["responses"]["Problem500"];
            503: components["responses"]["Problem503"];
            507: components["responses"]["Problem507"];
        };
    };
    act: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                key: string;
            };
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["ActIn"];
            };
        };
        responses: {
            /** @description OK */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["WrittenOut"];
                };
            };
            400: components["responses"]["Problem400"];
            403: components["responses"]["Problem403"];
            404: components["responses"]["Problem404"];
            405: components["responses"]["Problem405"];
            409: components["responses"]["Problem409"];
            413: components["responses"]["Problem413"];
            422: components["responses"]["Problem422"];
            500: components["responses"]["Problem500"];
            503: components["responses"]["Problem503"];
            507: components["responses"]["Problem507"];
        };
    };
    preview: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                key: string;
            };
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["ActIn"];
            };
        };
        responses: {
            /** @description OK */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["PreviewOut"];
                };
            };
            400: components["responses"]["Problem400"];
            403: components["responses"]["Problem403"];
            404: components["responses"]["Problem404"];
            405: components["responses"]["Problem405"];
            409: components["responses"]["Problem409"];
            413: components["responses"]["Problem413"];
            422: components["responses"]["Problem422"];
            500: components["responses"]["Problem500"];
            503: components["responses"]["Problem503"];
            507: components["responses"]["Problem507"];
        };
    };
    undo: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                key: string;
            };
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["BaseIn"];
            };
        };
        responses: {
            /** @description OK */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["WrittenOut"];
                };
            };
            400: components["responses"]["Problem400"];
            403: components["responses"]["Problem403"];
            404: components["responses"]["Problem404"];
            405: components["responses"]["Problem405"];
            409: components["responses"]["Problem409"];
            413: components["responses"]["Problem413"];
            422: components["responses"]["Problem422"];
            500: components["responses"]["Problem500"];
            503: components["responses"]["Problem503"];
            507: components["responses"]["Problem507"];
        };
    };
    redo: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                key: string;
            };
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["BaseIn"];
            };
        };
        responses: {
            /** @description OK */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["WrittenOut"];
                };
            };
            400: components["responses"]["Problem400"];
            403: components["responses"]["Problem403"];
            404: components["responses"]["Problem404"];
            405: components["responses"]["Problem405"];
            409: components["responses"]["Problem409"];
            413: components["responses"]["Problem413"];
            422: components["responses"]["Problem422"];
            500: components["responses"]["Problem500"];
            503: components["responses"]["Problem503"];
            507: components["responses"]["Problem507"];
        };
    };
    takeSupply: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                key: string;
            };
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["TakeIn"];
            };
        };
        responses: {
            /** @description OK */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["WrittenOut"];
                };
            };
            400: components["responses"]["Problem400"];
            403: components["responses"]["Problem403"];
            404: components["responses"]["Problem404"];
            405: components["responses"]["Problem405"];
            409: components["responses"]["Problem409"];
            413: components["responses"]["Problem413"];
            422: components["responses"]["Problem422"];
            500: components["responses"]["Problem500"];
            503: components["responses"]["Problem503"];
            507: components["responses"]["Problem507"];
        };
    };
    candidates: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                key: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description OK */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["CandidateOut"][];
                };
            };
            400: components["responses"]["Problem400"];
            403: components["responses"]["Problem403"];
            404: components["responses"]["Problem404"];
            405: components["responses"]["Problem405"];
            409: components["responses"]["Problem409"];
            413: components["responses"]["Problem413"];
            422: components["responses"]["Problem422"];
            500: components["responses"]["Problem500"];
            503: components["responses"]["Problem503"];
            507: components["responses"]["Problem507"];
        };
    };
    candidatesCsv: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                key: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description OK */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content?: never;
            };
            400: components["responses"]["Problem400"];
            403: components["responses"]["Problem403"];
            404: components["responses"]["Problem404"];
            405: components["responses"]["Problem405"];
            409: components["responses"]["Problem409"];
            413: components["responses"]["Problem413"];
            422: components["responses"]["Problem422"];
            500: components["responses"]["Problem500"];
            503: components["responses"]["Problem503"];
            507: components["responses"]["Problem507"];
        };
    };
    sizes: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                key: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description OK */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["SizesAnswer"];
                };
            };
            400: components["responses"]["Problem400"];
            403: components["responses"]["Problem403"];
            404: components["responses"]["Problem404"];
            405: components["responses"]["Problem405"];
            409: components["responses"]["Problem409"];
            413: components["responses"]["Problem413"];
            422: components["responses"]["Problem422"];
            500: components["responses"]["Problem500"];
            503: components["responses"]["Problem503"];
            507: components["responses"]["Problem507"];
        };
    };
    fit: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                key: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description OK */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["FitAnswer"];
                };
            };
            400: components["responses"]["Problem400"];
            403: components["responses"]["Problem403"];
            404: components["responses"]["Problem404"];
            405: components["responses"]["Problem405"];
            409: components["responses"]["Problem409"];
            413: components["responses"]["Problem413"];
            422: components["responses"]["Problem422"];
            500: components["responses"]["Problem500"];
            503: components["responses"]["Problem503"];
            507: components["responses"]["Problem507"];
        };
    };
    week: {
        parameters: {
            query?: {
                of?: string;
            };
            header?: never;
            path: {
                key: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description OK */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["WeekAnswer"];
                };
            };
            400: components["responses"]["Problem400"];
            403: components["responses"]["Problem403"];
            404: components["responses"]["Problem404"];
            405: components["responses"]["Problem405"];
            409: components["responses"]["Problem409"];
            413: components["responses"]["Problem413"];
            422: components["responses"]["Problem422"];
            500: components["responses"]["Problem500"];
            503: components["responses"]["Problem503"];
            507: components["responses"]["Problem507"];
        };
    };
    waysToStay: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                key: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description OK */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["WayOut"][];
                };
            };
            400: components["responses"]["Problem400"];
            403: components["responses"]["Problem403"];
            404: components["responses"]["Problem404"];
            405: components["responses"]["Problem405"];
            409: components["responses"]["Problem409"];
            413: components["responses"]["Problem413"];
            422: components["responses"]["Problem422"];
            500: components["responses"]["Problem500"];
            503: components["responses"]["Problem503"];
            507: components["responses"]["Problem507"];
        };
    };
    why: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                key: string;
                cable: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description OK */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["WhyOut"];
                };
            };
            400: components["responses"]["Problem400"];
            403: components["responses"]["Problem403"];
            404: components["responses"]["Problem404"];
            405: components["responses"]["Problem405"];
            409: components["responses"]["Problem409"];
            413: components["responses"]["Problem413"];
            422: components["responses"]["Problem422"];
            500: components["responses"]["Problem500"];
            503: components["responses"]["Problem503"];
            507: components["responses"]["Problem507"];
        };
    };
    rows: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                key: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description OK */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["RowsOut"];
                };
            };
            400: components["responses"]["Problem400"];
            403: components["responses"]["Problem403"];
            404: components["responses"]["Problem404"];
            405: components["responses"]["Problem405"];
            409: components["responses"]["Problem409"];
            413: components["responses"]["Problem413"];
            422: components["responses"]["Problem422"];
            500: components["responses"]["Problem500"];
            503: components["responses"]["Problem503"];
            507: components["responses"]["Problem507"];
        };
    };
    lines: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                key: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description OK */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["LinesOut"];
                };
            };
            400: components["responses"]["Problem400"];
            403: components["responses"]["Problem403"];
            404: components["responses"]["Problem404"];
            405: components["responses"]["Problem405"];
            409: components["responses"]["Problem409"];
            413: components["responses"]["Problem413"];
            422: components["responses"]["Problem422"];
            500: components["responses"]["Problem500"];
            503: components["responses"]["Problem503"];
            507: components["responses"]["Problem507"];
        };
    };
    mapCsv: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                key: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description OK */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content?: never;
            };
            400: components["responses"]["Problem400"];
            403: components["responses"]["Problem403"];
            404: components["responses"]["Problem404"];
            405: components["responses"]["Problem405"];
            409: components["responses"]["Problem409"];
            413: components["responses"]["Problem413"];
            422: components["responses"]["Problem422"];
            500: components["responses"]["Problem500"];
            503: components["responses"]["Problem503"];
            507: components["responses"]["Problem507"];
        };
    };
    loomSvg: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                key: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description OK */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content?: never;
            };
            400: components["responses"]["Problem400"];
            403: components["responses"]["Problem403"];
            404: components["responses"]["Problem404"];
            405: components["responses"]["Problem405"];
            409: components["responses"]["Problem409"];
            413: components["responses"]["Problem413"];
            422: components["responses"]["Problem422"];
            500: components["responses"]["Problem500"];
            503: components["responses"]["Problem503"];
            507: components["responses"]["Problem507"];
        };
    };
    loomPdf: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                key: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description OK */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content?: never;
            };
            400: components["responses"]["Problem400"];
            403: components["responses"]["Problem403"];
            404: components["responses"]["Problem404"];
            405: components["responses"]["Problem405"];
            409: components["responses"]["Problem409"];
            413: components["responses"]["Problem413"];
            422: components["responses"]["Problem422"];
            500: components["responses"]["Problem500"];
            503: components["responses"]["Problem503"];
            507: components["responses"]["Problem507"];
        };
    };
    offers: {
        parameters: {
            query?: {
                socket?: string | null;
                cable?: string | null;
                plug?: string | null;
            };
            header?: never;
            path: {
                key: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description OK */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["OffersOut"];
                };
            };
            400: components["responses"]["Problem400"];
            403: components["responses"]["Problem403"];
            404: components["responses"]["Problem404"];
            405: components["responses"]["Problem405"];
            409: components["responses"]["Problem409"];
            413: components["responses"]["Problem413"];
            422: components["responses"]["Problem422"];
            500: components["responses"]["Problem500"];
            503: components["responses"]["Problem503"];
            507: components["responses"]["Problem507"];
        };
    };
    positions: {
        parameters: {
            query?: {
                after?: number;
            };
            header?: never;
            path: {
                key: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description OK */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["EffectOut"][];
                };
            };
            400: components["responses"]["Problem400"];
            403: components["responses"]["Problem403"];
            404: components["responses"]["Problem404"];
            405: components["responses"]["Problem405"];
            409: components["responses"]["Problem409"];
            413: components["responses"]["Problem413"];
            422: components["responses"]["Problem422"];
            500: components["responses"]["Problem500"];
            503: components["responses"]["Problem503"];
            507: components["responses"]["Problem507"];
        };
    };
    assumptionUses: {
        parameters: {
            query?: {
                after?: number;
            };
            header?: never;
            path: {
                key: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description OK */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": {
                        [key: string]: string[];
                    };
                };
            };
            400: components["responses"]["Problem400"];
            403: components["responses"]["Problem403"];
            404: components["responses"]["Problem404"];
            405: components["responses"]["Problem405"];
            409: components["responses"]["Problem409"];
            413: components["responses"]["Problem413"];
            422: components["responses"]["Problem422"];
            500: components["responses"]["Problem500"];
            503: components["responses"]["Problem503"];
            507: components["responses"]["Problem507"];
        };
    };
    houseRules: {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description OK */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["RulesOut"];
                };
            };
            400: components["responses"]["Problem400"];
            403: components["responses"]["Problem403"];
            404: components["responses"]["Problem404"];
            405: components["responses"]["Problem405"];
            409: components["responses"]["Problem409"];
            413: components["responses"]["Problem413"];
            422: components["responses"]["Problem422"];
            500: components["responses"]["Problem500"];
            503: components["responses"]["Problem503"];
            507: components["responses"]["Problem507"];
        };
    };
    setHouseRules: {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["RulesIn"];
            };
        };
        responses: {
            /** @description OK */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["RulesOut"];
                };
            };
            400: components["responses"]["Problem400"];
            403: components["responses"]["Problem403"];
            404: components["responses"]["Problem404"];
            405: components["responses"]["Problem405"];
            409: components["responses"]["Problem409"];
            413: components["responses"]["Problem413"];
            422: components["responses"]["Problem422"];
            500: components["responses"]["Problem500"];
            503: components["responses"]["Problem503"];
            507: components["responses"]["Problem507"];
        };
    };
    reference: {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description OK */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["ReferenceOut"];
                };
            };
            400: components["responses"]["Problem400"];
            403: components["responses"]["Problem403"];
            404: components["responses"]["Problem404"];
            405: components["responses"]["Problem405"];
            409: components["responses"]["Problem409"];
            413: components["responses"]["Problem413"];
            422: components["responses"]["Problem422"];
            500: components["responses"]["Problem500"];
            503: components["responses"]["Problem503"];
            507: components["responses"]["Problem507"];
        };
    };
    say: {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["SayIn"];
            };
        };
        responses: {
            /** @description OK */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["SayOut"];
                };
            };
            400: components["responses"]["Problem400"];
            403: components["responses"]["Problem403"];
            404: components["responses"]["Problem404"];
            405: components["responses"]["Problem405"];
            409: components["responses"]["Problem409"];
            413: components["responses"]["Problem413"];
            422: components["responses"]["Problem422"];
            500: components["responses"]["Problem500"];
            503: components["responses"]["Problem503"];
            507: components["responses"]["Problem507"];
        };
    };
    entries: {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["ListIn"];
            };
        };
        responses: {
            /** @description OK */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["LineOut"][];
                };
            };
            400: components["responses"]["Problem400"];
            403: components["responses"]["Problem403"];
            404: components["responses"]["Problem404"];
            405: components["responses"]["Problem405"];
            409: components["responses"]["Problem409"];
            413: components["responses"]["Problem413"];
            422: components["responses"]["Problem422"];
            500: components["responses"]["Problem500"];
            503: components["responses"]["Problem503"];
            507: components["responses"]["Problem507"];
        };
    };
    cases: {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description OK */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Case"][];
                };
            };
            400: components["responses"]["Problem400"];
            403: components["responses"]["Problem403"];
            404: components["responses"]["Problem404"];
            405: components["responses"]["Problem405"];
            409: components["responses"]["Problem409"];
            413: components["responses"]["Problem413"];
            422: components["responses"]["Problem422"];
            500: components["responses"]["Problem500"];
            503: components["responses"]["Problem503"];
            507: components["responses"]["Problem507"];
        };
    };
    readCase: {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["SayIn"];
            };
        };
        responses: {
            /** @description OK */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Case"];
                };
            };
            400: components["responses"]["Problem400"];
            403: components["responses"]["Problem403"];
            404: components["responses"]["Problem404"];
            405: components["responses"]["Problem405"];
            409: components["responses"]["Problem409"];
            413: components["responses"]["Problem413"];
            422: components["responses"]["Problem422"];
            500: components["responses"]["Problem500"];
            503: components["responses"]["Problem503"];
            507: components["responses"]["Problem507"];
        };
    };
    words: {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description OK */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["OwnWordsOut"];
                };
            };
            400: components["responses"]["Problem400"];
            403: components["responses"]["Problem403"];
            404: components["responses"]["Problem404"];
            405: components["responses"]["Problem405"];
            409: components["responses"]["Problem409"];
            413: components["responses"]["Problem413"];
            422: components["responses"]["Problem422"];
            500: components["responses"]["Problem500"];
            503: components["responses"]["Problem503"];
            507: components["responses"]["Problem507"];
        };
    };
    learnWord: {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["WordIn"];
            };
        };
        responses: {
            /** @description Created */
            201: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["OwnWordOut"];
                };
            };
            400: components["responses"]["Problem400"];
            403: components["responses"]["Problem403"];
            404: components["responses"]["Problem404"];
            405: components["responses"]["Problem405"];
            409: components["responses"]["Problem409"];
            413: components["responses"]["Problem413"];
            422: components["responses"]["Problem422"];
            500: components["responses"]["Problem500"];
            503: components["responses"]["Problem503"];
            507: components["responses"]["Problem507"];
        };
    };
    forgetWord: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                word: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description No Content */
            204: {
                headers: {
                    [name: string]: unknown;
                };
                content?: never;
            };
            400: components["responses"]["Problem400"];
            403: components["responses"]["Problem403"];
            404: components["responses"]["Problem404"];
            405: components["responses"]["Problem405"];
            409: components["responses"]["Problem409"];
            413: components["responses"]["Problem413"];
            422: components["responses"]["Problem422"];
            500: components["responses"]["Problem500"];
            503: components["responses"]["Problem503"];
            507: components["responses"]["Problem507"];
        };
    };
    catalogue: {
        parameters: {
            query?: {
                text?: string;
            };
            header?: never;
            path?: never;
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description OK */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["CatalogueOut"];
                };
            };
            400: components["responses"]["Problem400"];
            403: components["responses"]["Problem403"];
            404: components["responses"]["Problem404"];
            405: components["responses"]["Problem405"];
            409: components["responses"]["Problem409"];
            413: components["responses"]["Problem413"];
            422: components["responses"]["Problem422"];
            500: components["responses"]["Problem500"];
            503: components["responses"]["Problem503"];
            507: components["responses"]["Problem507"];
        };
    };
    catalogueEntry: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                slug: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description OK */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["FoundOut"];
                };
            };
            400: components["responses"]["Problem400"];
            403: components["responses"]["Problem403"];
            404: components["responses"]["Problem404"];
            405: components["responses"]["Problem405"];
            409: components["responses"]["Problem409"];
            413: components["responses"]["Problem413"];
            422: components["responses"]["Problem422"];
            500: components["responses"]["Problem500"];
            503: components["responses"]["Problem503"];
            507: components["responses"]["Problem507"];
        };
    };
    removePart: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                slug: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description No Content */
            204: {
                headers: {
                    [name: string]: unknown;
                };
                content?: never;
            };
            400: components["responses"]["Problem400"];
            403: components["responses"]["Problem403"];
            404: components["responses"]["Problem404"];
            405: components["responses"]["Problem405"];
            409: components["responses"]["Problem409"];
            413: components["responses"]["Problem413"];
            422: components["responses"]["Problem422"];
            500: components["responses"]["Problem500"];
            503: components["responses"]["Problem503"];
            507: components["responses"]["Problem507"];
        };
    };
    saveCatalogue: {
        parameters: {
            query?: {
                own?: boolean;
            };
            header?: never;
            path?: never;
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description OK */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content?: never;
            };
            400: components["responses"]["Problem400"];
            403: components["responses"]["Problem403"];
            404: components["responses"]["Problem404"];
            405: components["responses"]["Problem405"];
            409: components["responses"]["Problem409"];
            413: components["responses"]["Problem413"];
            422: components["responses"]["Problem422"];
            500: components["responses"]["Problem500"];
            503: components["responses"]["Problem503"];
            507: components["responses"]["Problem507"];
        };
    };
    takeCatalogue: {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["FileIn"];
            };
        };
        responses: {
            /** @description OK */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["ChangesOut"];
                };
            };
            400: components["responses"]["Problem400"];
            403: components["responses"]["Problem403"];
            404: components["responses"]["Problem404"];
            405: components["responses"]["Problem405"];
            409: components["responses"]["Problem409"];
            413: components["responses"]["Problem413"];
            422: components["responses"]["Problem422"];
            500: components["responses"]["Problem500"];
            503: components["responses"]["Problem503"];
            507: components["responses"]["Problem507"];
        };
    };
    catalogueTemplate: {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description OK */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content?: never;
            };
            400: components["responses"]["Problem400"];
            403: components["responses"]["Problem403"];
            404: components["responses"]["Problem404"];
            405: components["responses"]["Problem405"];
            409: components["responses"]["Problem409"];
            413: components["responses"]["Problem413"];
            422: components["responses"]["Problem422"];
            500: components["responses"]["Problem500"];
            503: components["responses"]["Problem503"];
            507: components["responses"]["Problem507"];
        };
    };
    previewCatalogue: {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["FileIn"];
            };
        };
        responses: {
            /** @description OK */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["ChangesOut"];
                };
            };
            400: components["responses"]["Problem400"];
            403: components["responses"]["Problem403"];
            404: components["responses"]["Problem404"];
            405: components["responses"]["Problem405"];
            409: components["responses"]["Problem409"];
            413: components["responses"]["Problem413"];
            422: components["responses"]["Problem422"];
            500: components["responses"]["Problem500"];
            503: components["responses"]["Problem503"];
            507: components["responses"]["Problem507"];
        };
    };
    keepPart: {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["KeepIn"];
            };
        };
        responses: {
            /** @description Created */
            201: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["FoundOut"];
                };
            };
            400: components["responses"]["Problem400"];
            403: components["responses"]["Problem403"];
            404: components["responses"]["Problem404"];
            405: components["responses"]["Problem405"];
            409: components["responses"]["Problem409"];
            413: components["responses"]["Problem413"];
            422: components["responses"]["Problem422"];
            500: components["responses"]["Problem500"];
            503: components["responses"]["Problem503"];
            507: components["responses"]["Problem507"];
        };
    };
    partsInBin: {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description OK */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["InBin"][];
                };
            };
            400: components["responses"]["Problem400"];
            403: components["responses"]["Problem403"];
            404: components["responses"]["Problem404"];
            405: components["responses"]["Problem405"];
            409: components["responses"]["Problem409"];
            413: components["responses"]["Problem413"];
            422: components["responses"]["Problem422"];
            500: components["responses"]["Problem500"];
            503: components["responses"]["Problem503"];
            507: components["responses"]["Problem507"];
        };
    };
    bringPartBack: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                slug: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description OK */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["FoundOut"];
                };
            };
            400: components["responses"]["Problem400"];
            403: components["responses"]["Problem403"];
            404: components["responses"]["Problem404"];
            405: components["responses"]["Problem405"];
            409: components["responses"]["Problem409"];
            413: components["responses"]["Problem413"];
            422: components["responses"]["Problem422"];
            500: components["responses"]["Problem500"];
            503: components["responses"]["Problem503"];
            507: components["responses"]["Problem507"];
        };
    };
    drawer: {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description OK */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["ThingOut"][];
                };
            };
            400: components["responses"]["Problem400"];
            403: components["responses"]["Problem403"];
            404: components["responses"]["Problem404"];
            405: components["responses"]["Problem405"];
            409: components["responses"]["Problem409"];
            413: components["responses"]["Problem413"];
            422: components["responses"]["Problem422"];
            500: components["responses"]["Problem500"];
            503: components["responses"]["Problem503"];
            507: components["responses"]["Problem507"];
        };
    };
    putInDrawer: {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["PutIn"];
            };
        };
        responses: {
            /** @description Created */
            201: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["ThingOut"];
                };
            };
            400: components["responses"]["Problem400"];
            403: components["responses"]["Problem403"];
            404: components["responses"]["Problem404"];
            405: components["responses"]["Problem405"];
            409: components["responses"]["Problem409"];
            413: components["responses"]["Problem413"];
            422: components["responses"]["Problem422"];
            500: components["responses"]["Problem500"];
            503: components["responses"]["Problem503"];
            507: components["responses"]["Problem507"];
        };
    };
    readThing: {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["ReadIn"];
            };
        };
        responses: {
            /** @description OK */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["ReadOut"];
                };
            };
            400: components["responses"]["Problem400"];
            403: components["responses"]["Problem403"];
            404: components["responses"]["Problem404"];
            405: components["responses"]["Problem405"];
            409: components["responses"]["Problem409"];
            413: components["responses"]["Problem413"];
            422: components["responses"]["Problem422"];
            500: components["responses"]["Problem500"];
            503: components["responses"]["Problem503"];
            507: components["responses"]["Problem507"];
        };
    };
    suppliesFile: {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description OK */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content?: never;
            };
            400: components["responses"]["Problem400"];
            403: components["responses"]["Problem403"];
            404: components["responses"]["Problem404"];
            405: components["responses"]["Problem405"];
            409: components["responses"]["Problem409"];
            413: components["responses"]["Problem413"];
            422: components["responses"]["Problem422"];
            500: components["responses"]["Problem500"];
            503: components["responses"]["Problem503"];
            507: components["responses"]["Problem507"];
        };
    };
    readSupplies: {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["FileIn"];
            };
        };
        responses: {
            /** @description Created */
            201: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["ThingOut"][];
                };
            };
            400: components["responses"]["Problem400"];
            403: components["responses"]["Problem403"];
            404: components["responses"]["Problem404"];
            405: components["responses"]["Problem405"];
            409: components["responses"]["Problem409"];
            413: components["responses"]["Problem413"];
            422: components["responses"]["Problem422"];
            500: components["responses"]["Problem500"];
            503: components["responses"]["Problem503"];
            507: components["responses"]["Problem507"];
        };
    };
    removeThing: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                key: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description No Content */
            204: {
                headers: {
                    [name: string]: unknown;
                };
                content?: never;
            };
            400: components["responses"]["Problem400"];
            403: components["responses"]["Problem403"];
            404: components["responses"]["Problem404"];
            405: components["responses"]["Problem405"];
            409: components["responses"]["Problem409"];
            413: components["responses"]["Problem413"];
            422: components["responses"]["Problem422"];
            500: components["responses"]["Problem500"];
            503: components["responses"]["Problem503"];
            507: components["responses"]["Problem507"];
        };
    };
    changeThing: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                key: string;
            };
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["ChangeIn"];
            };
        };
        responses: {
            /** @description OK */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["ThingOut"];
                };
            };
            400: components["responses"]["Problem400"];
            403: components["responses"]["Problem403"];
            404: components["responses"]["Problem404"];
            405: components["responses"]["Problem405"];
            409: components["responses"]["Problem409"];
            413: components["responses"]["Problem413"];
            422: components["responses"]["Problem422"];
            500: components["responses"]["Problem500"];
            503: components["responses"]["Problem503"];
            507: components["responses"]["Problem507"];
        };
    };
    prices: {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description OK */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["PricesOut"];
                };
            };
            400: components["responses"]["Problem400"];
            403: components["responses"]["Problem403"];
            404: components["responses"]["Problem404"];
            405: components["responses"]["Problem405"];
            409: components["responses"]["Problem409"];
            413: components["responses"]["Problem413"];
            422: components["responses"]["Problem422"];
            500: components["responses"]["Problem500"];
            503: components["responses"]["Problem503"];
            507: components["responses"]["Problem507"];
        };
    };
    givePrices: {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["PricesIn"];
            };
        };
        responses: {
            /** @description OK */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["PricesOut"];
                };
            };
            400: components["responses"]["Problem400"];
            403: components["responses"]["Problem403"];
            404: components["responses"]["Problem404"];
            405: components["responses"]["Problem405"];
            409: components["responses"]["Problem409"];
            413: components["responses"]["Problem413"];
            422: components["responses"]["Problem422"];
            500: components["responses"]["Problem500"];
            503: components["responses"]["Problem503"];
            507: components["responses"]["Problem507"];
        };
    };
    loose: {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description OK */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["LooseOut"][];
                };
            };
            400: components["responses"]["Problem400"];
            403: components["responses"]["Problem403"];
            404: components["responses"]["Problem404"];
            405: components["responses"]["Problem405"];
            409: components["responses"]["Problem409"];
            413: components["responses"]["Problem413"];
            422: components["responses"]["Problem422"];
            500: components["responses"]["Problem500"];
            503: components["responses"]["Problem503"];
            507: components["responses"]["Problem507"];
        };
    };
    readLoose: {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["SaidIn"];
            };
        };
        responses: {
            /** @description OK */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["SaidOut"];
                };
            };
            400: components["responses"]["Problem400"];
            403: components["responses"]["Problem403"];
            404: components["responses"]["Problem404"];
            405: components["responses"]["Problem405"];
            409: components["responses"]["Problem409"];
            413: components["responses"]["Problem413"];
            422: components["responses"]["Problem422"];
            500: components["responses"]["Problem500"];
            503: components["responses"]["Problem503"];
            507: components["responses"]["Problem507"];
        };
    };
    readBoxed: {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["BoxedIn"];
            };
        };
        responses: {
            /** @description OK */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["BoxedOut"];
                };
            };
            400: components["responses"]["Problem400"];
            403: components["responses"]["Problem403"];
            404: components["responses"]["Problem404"];
            405: components["responses"]["Problem405"];
            409: components["responses"]["Problem409"];
            413: components["responses"]["Problem413"];
            422: components["responses"]["Problem422"];
            500: components["responses"]["Problem500"];
            503: components["responses"]["Problem503"];
            507: components["responses"]["Problem507"];
        };
    };
    mapState: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                key: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description OK */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["MapOut"];
                };
            };
            400: components["responses"]["Problem400"];
            403: components["responses"]["Problem403"];
            404: components["responses"]["Problem404"];
            405: components["responses"]["Problem405"];
            409: components["responses"]["Problem409"];
            413: components["responses"]["Problem413"];
            422: components["responses"]["Problem422"];
            500: components["responses"]["Problem500"];
            503: components["responses"]["Problem503"];
            507: components["responses"]["Problem507"];
        };
    };
    mapIt: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                key: string;
            };
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["MapIn"];
            };
        };
        responses: {
            /** @description OK */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["MapOut"];
                };
            };
            400: components["responses"]["Problem400"];
            403: components["responses"]["Problem403"];
            404: components["responses"]["Problem404"];
            405: components["responses"]["Problem405"];
            409: components["responses"]["Problem409"];
            413: components["responses"]["Problem413"];
            422: components["responses"]["Problem422"];
            500: components["responses"]["Problem500"];
            503: components["responses"]["Problem503"];
            507: components["responses"]["Problem507"];
        };
    };
    stopMap: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                key: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description OK */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["MapOut"];
                };
            };
            400: components["responses"]["Problem400"];
            403: components["responses"]["Problem403"];
            404: components["responses"]["Problem404"];
            405: components["responses"]["Problem405"];
            409: components["responses"]["Problem409"];
            413: components["responses"]["Problem413"];
            422: components["responses"]["Problem422"];
            500: components["responses"]["Problem500"];
            503: components["responses"]["Problem503"];
            507: components["responses"]["Problem507"];
        };
    };
    waysToReach: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                key: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description OK */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["RepairAnswer"][];
                };
            };
            400: components["responses"]["Problem400"];
            403: components["responses"]["Problem403"];
            404: components["responses"]["Problem404"];
            405: components["responses"]["Problem405"];
            409: components["responses"]["Problem409"];
            413: components["responses"]["Problem413"];
            422: components["responses"]["Problem422"];
            500: components["responses"]["Problem500"];
            503: components["responses"]["Problem503"];
            507: components["responses"]["Problem507"];
        };
    };
    feeds: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                key: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description OK */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["FeedOut"][];
                };
            };
            400: components["responses"]["Problem400"];
            403: components["responses"]["Problem403"];
            404: components["responses"]["Problem404"];
            405: components["responses"]["Problem405"];
            409: components["responses"]["Problem409"];
            413: components["responses"]["Problem413"];
            422: components["responses"]["Problem422"];
            500: components["responses"]["Problem500"];
            503: components["responses"]["Problem503"];
            507: components["responses"]["Problem507"];
        };
    };
    askFeeds: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                key: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description OK */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["FeedOut"][];
                };
            };
            400: components["responses"]["Problem400"];
            403: components["responses"]["Problem403"];
            404: components["responses"]["Problem404"];
            405: components["responses"]["Problem405"];
            409: components["responses"]["Problem409"];
            413: components["responses"]["Problem413"];
            422: components["responses"]["Problem422"];
            500: components["responses"]["Problem500"];
            503: components["responses"]["Problem503"];
            507: components["responses"]["Problem507"];
        };
    };
    askRuleFeeds: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                key: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description OK */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["FeedOut"][];
                };
            };
            400: components["responses"]["Problem400"];
            403: components["responses"]["Problem403"];
            404: components["responses"]["Problem404"];
            405: components["responses"]["Problem405"];
            409: components["responses"]["Problem409"];
            413: components["responses"]["Problem413"];
            422: components["responses"]["Problem422"];
            500: components["responses"]["Problem500"];
            503: components["responses"]["Problem503"];
            507: components["responses"]["Problem507"];
        };
    };
    listQuestions: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                key: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description OK */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["AskedBefore"][];
                };
            };
            400: components["responses"]["Problem400"];
            403: components["responses"]["Problem403"];
            404: components["responses"]["Problem404"];
            405: components["responses"]["Problem405"];
            409: components["responses"]["Problem409"];
            413: components["responses"]["Problem413"];
            422: components["responses"]["Problem422"];
            500: components["responses"]["Problem500"];
            503: components["responses"]["Problem503"];
            507: components["responses"]["Problem507"];
        };
    };
    askQuestion: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                key: string;
            };
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["QuestionIn"];
            };
        };
        responses: {
            /** @description OK */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["QuestionOut"];
                };
            };
            400: components["responses"]["Problem400"];
            403: components["responses"]["Problem403"];
            404: components["responses"]["Problem404"];
            405: components["responses"]["Problem405"];
            409: components["responses"]["Problem409"];
            413: components["responses"]["Problem413"];
            422: components["responses"]["Problem422"];
            500: components["responses"]["Problem500"];
            503: components["responses"]["Problem503"];
            507: components["responses"]["Problem507"];
        };
    };
    askableNames: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                key: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description OK */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": string[];
                };
            };
            400: components["responses"]["Problem400"];
            403: components["responses"]["Problem403"];
            404: components["responses"]["Problem404"];
            405: components["responses"]["Problem405"];
            409: components["responses"]["Problem409"];
            413: components["responses"]["Problem413"];
            422: components["responses"]["Problem422"];
            500: components["responses"]["Problem500"];
            503: components["responses"]["Problem503"];
            507: components["responses"]["Problem507"];
        };
    };
    getQuestion: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                key: string;
                id: number;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description OK */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["QuestionOut"];
                };
            };
            400: components["responses"]["Problem400"];
            403: components["responses"]["Problem403"];
            404: components["responses"]["Problem404"];
            405: components["responses"]["Problem405"];
            409: components["responses"]["Problem409"];
            413: components["responses"]["Problem413"];
            422: components["responses"]["Problem422"];
            500: components["responses"]["Problem500"];
            503: components["responses"]["Problem503"];
            507: components["responses"]["Problem507"];
        };
    };
    dropQuestion: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                key: string;
                id: number;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description No Content */
            204: {
                headers: {
                    [name: string]: unknown;
                };
                content?: never;
            };
            400: components["responses"]["Problem400"];
            403: components["responses"]["Problem403"];
            404: components["responses"]["Problem404"];
            405: components["responses"]["Problem405"];
            409: components["responses"]["Problem409"];
            413: components["responses"]["Problem413"];
            422: components["responses"]["Problem422"];
            500: components["responses"]["Problem500"];
            503: components["responses"]["Problem503"];
            507: components["responses"]["Problem507"];
        };
    };
    takeAnswer: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                key: string;
                id: number;
            };
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["TakeAnswerIn"];
            };
        };
        responses: {
            /** @description OK */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["WrittenOut"];
                };
            };
            400: components["responses"]["Problem400"];
            403: components["responses"]["Problem403"];
            404: components["responses"]["Problem404"];
            405: components["responses"]["Problem405"];
            409: components["responses"]["Problem409"];
            413: components["responses"]["Problem413"];
            422: components["responses"]["Problem422"];
            500: components["responses"]["Problem500"];
            503: components["responses"]["Problem503"];
            507: components["responses"]["Problem507"];
        };
    };
    variantOfAnswer: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                key: string;
                id: number;
            };
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["VariantIn"];
            };
        };
        responses: {
            /** @description Created */
            201: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["BuildOut"];
                };
            };
            400: components["responses"]["Problem400"];
            403: components["responses"]["Problem403"];
            404: components["responses"]["Problem404"];
            405: components["responses"]["Problem405"];
            409: components["responses"]["Problem409"];
            413: components["responses"]["Problem413"];
            422: components["responses"]["Problem422"];
            500: components["responses"]["Problem500"];
            503: components["responses"]["Problem503"];
            507: components["responses"]["Problem507"];
        };
    };
    answerFile: {
        parameters: {
            query?: {
                at?: number;
            };
            header?: never;
            path: {
                key: string;
                id: number;
                kind: "html" | "pdf";
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description OK */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content?: never;
            };
            400: components["responses"]["Problem400"];
            403: components["responses"]["Problem403"];
            404: components["responses"]["Problem404"];
            405: components["responses"]["Problem405"];
            409: components["responses"]["Problem409"];
            413: components["responses"]["Problem413"];
            422: components["responses"]["Problem422"];
            500: components["responses"]["Problem500"];
            503: components["responses"]["Problem503"];
            507: components["responses"]["Problem507"];
        };
    };
    compareBuilds: {
        parameters: {
            query: {
                sides: string;
            };
            header?: never;
            path?: never;
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description OK */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["ComparedAnswer"];
                };
            };
            400: components["responses"]["Problem400"];
            403: components["responses"]["Problem403"];
            404: components["responses"]["Problem404"];
            405: components["responses"]["Problem405"];
            409: components["responses"]["Problem409"];
            413: components["responses"]["Problem413"];
            422: components["responses"]["Problem422"];
            500: components["responses"]["Problem500"];
            503: components["responses"]["Problem503"];
            507: components["responses"]["Problem507"];
        };
    };
    comparisonFile: {
        parameters: {
            query: {
                sides: string;
            };
            header?: never;
            path: {
                kind: "csv" | "pdf";
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description OK */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content?: never;
            };
            400: components["responses"]["Problem400"];
            403: components["responses"]["Problem403"];
            404: components["responses"]["Problem404"];
            405: components["responses"]["Problem405"];
            409: components["responses"]["Problem409"];
            413: components["responses"]["Problem413"];
            422: components["responses"]["Problem422"];
            500: components["responses"]["Problem500"];
            503: components["responses"]["Problem503"];
            507: components["responses"]["Problem507"];
        };
    };
    listSchools: {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description OK */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["SchoolOut"][];
                };
            };
            400: components["responses"]["Problem400"];
            403: components["responses"]["Problem403"];
            404: components["responses"]["Problem404"];
            405: components["responses"]["Problem405"];
            409: components["responses"]["Problem409"];
            413: components["responses"]["Problem413"];
            422: components["responses"]["Problem422"];
            500: components["responses"]["Problem500"];
            503: components["responses"]["Problem503"];
            507: components["responses"]["Problem507"];
        };
    };
    keepSchool: {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["SchoolIn"];
            };
        };
        responses: {
            /** @description OK */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["School"];
                };
            };
            400: components["responses"]["Problem400"];
            403: components["responses"]["Problem403"];
            404: components["responses"]["Problem404"];
            405: components["responses"]["Problem405"];
            409: components["responses"]["Problem409"];
            413: components["responses"]["Problem413"];
            422: components["responses"]["Problem422"];
            500: components["responses"]["Problem500"];
            503: components["responses"]["Problem503"];
            507: components["responses"]["Problem507"];
        };
    };
    removeSchool: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description No Content */
            204: {
                headers: {
                    [name: string]: unknown;
                };
                content?: never;
            };
            400: components["responses"]["Problem400"];
            403: components["responses"]["Problem403"];
            404: components["responses"]["Problem404"];
            405: components["responses"]["Problem405"];
            409: components["responses"]["Problem409"];
            413: components["responses"]["Problem413"];
            422: components["responses"]["Problem422"];
            500: components["responses"]["Problem500"];
            503: components["responses"]["Problem503"];
            507: components["responses"]["Problem507"];
        };
    };
    schoolsState: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                key: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description OK */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["SchoolsState"];
                };
            };
            400: components["responses"]["Problem400"];
            403: components["responses"]["Problem403"];
            404: components["responses"]["Problem404"];
            405: components["responses"]["Problem405"];
            409: components["responses"]["Problem409"];
            413: components["responses"]["Problem413"];
            422: components["responses"]["Problem422"];
            500: components["responses"]["Problem500"];
            503: components["responses"]["Problem503"];
            507: components["responses"]["Problem507"];
        };
    };
    askSchools: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                key: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description OK */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["SchoolsState"];
                };
            };
            400: components["responses"]["Problem400"];
            403: components["responses"]["Problem403"];
            404: components["responses"]["Problem404"];
            405: components["responses"]["Problem405"];
            409: components["responses"]["Problem409"];
            413: components["responses"]["Problem413"];
            422: components["responses"]["Problem422"];
            500: components["responses"]["Problem500"];
            503: components["responses"]["Problem503"];
            507: components["responses"]["Problem507"];
        };
    };
    pastOf: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                key: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description OK */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["MomentOut"][];
                };
            };
            400: components["responses"]["Problem400"];
            403: components["responses"]["Problem403"];
            404: components["responses"]["Problem404"];
            405: components["responses"]["Problem405"];
            409: components["responses"]["Problem409"];
            413: components["responses"]["Problem413"];
            422: components["responses"]["Problem422"];
            500: components["responses"]["Problem500"];
            503: components["responses"]["Problem503"];
            507: components["responses"]["Problem507"];
        };
    };
    markBuild: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                key: string;
            };
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["MarkIn"];
            };
        };
        responses: {
            /** @description OK */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["MomentOut"][];
                };
            };
            400: components["responses"]["Problem400"];
            403: components["responses"]["Problem403"];
            404: components["responses"]["Problem404"];
            405: components["responses"]["Problem405"];
            409: components["responses"]["Problem409"];
            413: components["responses"]["Problem413"];
            422: components["responses"]["Problem422"];
            500: components["responses"]["Problem500"];
            503: components["responses"]["Problem503"];
            507: components["responses"]["Problem507"];
        };
    };
    benchPlan: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                key: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description OK */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["PlanOut"];
                };
            };
            400: components["responses"]["Problem400"];
            403: components["responses"]["Problem403"];
            404: components["responses"]["Problem404"];
            405: components["responses"]["Problem405"];
            409: components["responses"]["Problem409"];
            413: components["responses"]["Problem413"];
            422: components["responses"]["Problem422"];
            500: components["responses"]["Problem500"];
            503: components["responses"]["Problem503"];
            507: components["responses"]["Problem507"];
        };
    };
    benchDone: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                key: string;
            };
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["EntriesIn"];
            };
        };
        responses: {
            /** @description OK */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["PlanOut"];
                };
            };
            400: components["responses"]["Problem400"];
            403: components["responses"]["Problem403"];
            404: components["responses"]["Problem404"];
            405: components["responses"]["Problem405"];
            409: components["responses"]["Problem409"];
            413: components["responses"]["Problem413"];
            422: components["responses"]["Problem422"];
            500: components["responses"]["Problem500"];
            503: components["responses"]["Problem503"];
            507: components["responses"]["Problem507"];
        };
    };
    foundPlaces: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                key: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description OK */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["PlacesOut"];
                };
            };
            400: components["responses"]["Problem400"];
            403: components["responses"]["Problem403"];
            404: components["responses"]["Problem404"];
            405: components["responses"]["Problem405"];
            409: components["responses"]["Problem409"];
            413: components["responses"]["Problem413"];
            422: components["responses"]["Problem422"];
            500: components["responses"]["Problem500"];
            503: components["responses"]["Problem503"];
            507: components["responses"]["Problem507"];
        };
    };
    machineRecord: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                key: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description OK */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["RecordOut"];
                };
            };
            400: components["responses"]["Problem400"];
            403: components["responses"]["Problem403"];
            404: components["responses"]["Problem404"];
            405: components["responses"]["Problem405"];
            409: components["responses"]["Problem409"];
            413: components["responses"]["Problem413"];
            422: components["responses"]["Problem422"];
            500: components["responses"]["Problem500"];
            503: components["responses"]["Problem503"];
            507: components["responses"]["Problem507"];
        };
    };
    benchRecord: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                key: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description OK */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content?: never;
            };
            400: components["responses"]["Problem400"];
            403: components["responses"]["Problem403"];
            404: components["responses"]["Problem404"];
            405: components["responses"]["Problem405"];
            409: components["responses"]["Problem409"];
            413: components["responses"]["Problem413"];
            422: components["responses"]["Problem422"];
            500: components["responses"]["Problem500"];
            503: components["responses"]["Problem503"];
            507: components["responses"]["Problem507"];
        };
    };
    benchArchive: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                key: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description OK */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content?: never;
            };
            400: components["responses"]["Problem400"];
            403: components["responses"]["Problem403"];
            404: components["responses"]["Problem404"];
            405: components["responses"]["Problem405"];
            409: components["responses"]["Problem409"];
            413: components["responses"]["Problem413"];
            422: components["responses"]["Problem422"];
            500: components["responses"]["Problem500"];
            503: components["responses"]["Problem503"];
            507: components["responses"]["Problem507"];
        };
    };
    benchSheet: {
        parameters: {
            query?: {
                paper?: "A4" | "letter";
            };
            header?: never;
            path: {
                key: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description OK */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content?: never;
            };
            400: components["responses"]["Problem400"];
            403: components["responses"]["Problem403"];
            404: components["responses"]["Problem404"];
            405: components["responses"]["Problem405"];
            409: components["responses"]["Problem409"];
            413: components["responses"]["Problem413"];
            422: components["responses"]["Problem422"];
            500: components["responses"]["Problem500"];
            503: components["responses"]["Problem503"];
            507: components["responses"]["Problem507"];
        };
    };
    cableFlags: {
        parameters: {
            query?: {
                paper?: "A4" | "letter";
                width_mm?: number;
                height_mm?: number;
            };
            header?: never;
            path: {
                key: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description OK */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content?: never;
            };
            400: components["responses"]["Problem400"];
            403: components["responses"]["Problem403"];
            404: components["responses"]["Problem404"];
            405: components["responses"]["Problem405"];
            409: components["responses"]["Problem409"];
            413: components["responses"]["Problem413"];
            422: components["responses"]["Problem422"];
            500: components["responses"]["Problem500"];
            503: components["responses"]["Problem503"];
            507: components["responses"]["Problem507"];
        };
    };
    addPhoto: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                key: string;
            };
            cookie?: never;
        };
        requestBody: {
            content: {
                "multipart/form-data": {
                    /** Step */
                    step: string;
                    /**
                     * Places
                     * @default []
                     */
                    places?: string[];
                    /**
                     * Photo
                     * Format: binary
                     */
                    photo: Blob;
                };
            };
        };
        responses: {
            /** @description OK */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["PlanOut"];
                };
            };
            400: components["responses"]["Problem400"];
            403: components["responses"]["Problem403"];
            404: components["responses"]["Problem404"];
            405: components["responses"]["Problem405"];
            409: components["responses"]["Problem409"];
            413: components["responses"]["Problem413"];
            422: components["responses"]["Problem422"];
            500: components["responses"]["Problem500"];
            503: components["responses"]["Problem503"];
            507: components["responses"]["Problem507"];
        };
    };
    getPhoto: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                key: string;
                photo: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description OK */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content?: never;
            };
            400: components["responses"]["Problem400"];
            403: components["responses"]["Problem403"];
            404: components["responses"]["Problem404"];
            405: components["responses"]["Problem405"];
            409: components["responses"]["Problem409"];
            413: components["responses"]["Problem413"];
            422: components["responses"]["Problem422"];
            500: components["responses"]["Problem500"];
            503: components["responses"]["Problem503"];
            507: components["responses"]["Problem507"];
        };
    };
    removePhoto: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                key: string;
                photo: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description OK */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["PlanOut"];
                };
            };
            400: components["responses"]["Problem400"];
            403: components["responses"]["Problem403"];
            404: components["responses"]["Problem404"];
            405: components["responses"]["Problem405"];
            409: components["responses"]["Problem409"];
            413: components["responses"]["Problem413"];
            422: components["responses"]["Problem422"];
            500: components["responses"]["Problem500"];
            503: components["responses"]["Problem503"];
            507: components["responses"]["Problem507"];
        };
    };
    photosInBin: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                key: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description OK */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["InBin"][];
                };
            };
            400: components["responses"]["Problem400"];
            403: components["responses"]["Problem403"];
            404: components["responses"]["Problem404"];
            405: components["responses"]["Problem405"];
            409: components["responses"]["Problem409"];
            413: components["responses"]["Problem413"];
            422: components["responses"]["Problem422"];
            500: components["responses"]["Problem500"];
            503: components["responses"]["Problem503"];
            507: components["responses"]["Problem507"];
        };
    };
    bringPhotoBack: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                key: string;
                photo: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description OK */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["PlanOut"];
                };
            };
            400: components["responses"]["Problem400"];
            403: components["responses"]["Problem403"];
            404: components["responses"]["Problem404"];
            405: components["responses"]["Problem405"];
            409: components["responses"]["Problem409"];
            413: components["responses"]["Problem413"];
            422: components["responses"]["Problem422"];
            500: components["responses"]["Problem500"];
            503: components["responses"]["Problem503"];
            507: components["responses"]["Problem507"];
        };
    };
    listReadings: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                key: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description OK */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["ReadingsOut"];
                };
            };
            400: components["responses"]["Problem400"];
            403: components["responses"]["Problem403"];
            404: components["responses"]["Problem404"];
            405: components["responses"]["Problem405"];
            409: components["responses"]["Problem409"];
            413: components["responses"]["Problem413"];
            422: components["responses"]["Problem422"];
            500: components["responses"]["Problem500"];
            503: components["responses"]["Problem503"];
            507: components["responses"]["Problem507"];
        };
    };
    typeReadings: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                key: string;
            };
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["TypedIn"];
            };
        };
        responses: {
            /** @description OK */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["TakenOut"];
                };
            };
            400: components["responses"]["Problem400"];
            403: components["responses"]["Problem403"];
            404: components["responses"]["Problem404"];
            405: components["responses"]["Problem405"];
            409: components["responses"]["Problem409"];
            413: components["responses"]["Problem413"];
            422: components["responses"]["Problem422"];
            500: components["responses"]["Problem500"];
            503: components["responses"]["Problem503"];
            507: components["responses"]["Problem507"];
        };
    };
    simulate: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                key: string;
            };
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["SimulateIn"];
            };
        };
        responses: {
            /** @description OK */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["TakenOut"];
                };
            };
            400: components["responses"]["Problem400"];
            403: components["responses"]["Problem403"];
            404: components["responses"]["Problem404"];
            405: components["responses"]["Problem405"];
            409: components["responses"]["Problem409"];
            413: components["responses"]["Problem413"];
            422: components["responses"]["Problem422"];
            500: components["responses"]["Problem500"];
            503: components["responses"]["Problem503"];
            507: components["responses"]["Problem507"];
        };
    };
    hearStream: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                key: string;
            };
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["StreamIn"];
            };
        };
        responses: {
            /** @description OK */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["TakenOut"];
                };
            };
            400: components["responses"]["Problem400"];
            403: components["responses"]["Problem403"];
            404: components["responses"]["Problem404"];
            405: components["responses"]["Problem405"];
            409: components["responses"]["Problem409"];
            413: components["responses"]["Problem413"];
            422: components["responses"]["Problem422"];
            500: components["responses"]["Problem500"];
            503: components["responses"]["Problem503"];
            507: components["responses"]["Problem507"];
        };
    };
    stopStream: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                key: string;
                taken: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description OK */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["TakenOut"];
                };
            };
            400: components["responses"]["Problem400"];
            403: components["responses"]["Problem403"];
            404: components["responses"]["Problem404"];
            405: components["responses"]["Problem405"];
            409: components["responses"]["Problem409"];
            413: components["responses"]["Problem413"];
            422: components["responses"]["Problem422"];
            500: components["responses"]["Problem500"];
            503: components["responses"]["Problem503"];
            507: components["responses"]["Problem507"];
        };
    };
    readHead: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                key: string;
            };
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["HeadIn"];
            };
        };
        responses: {
            /** @description OK */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["ColumnOut"][];
                };
            };
            400: components["responses"]["Problem400"];
            403: components["responses"]["Problem403"];
            404: components["responses"]["Problem404"];
            405: components["responses"]["Problem405"];
            409: components["responses"]["Problem409"];
            413: components["responses"]["Problem413"];
            422: components["responses"]["Problem422"];
            500: components["responses"]["Problem500"];
            503: components["responses"]["Problem503"];
            507: components["responses"]["Problem507"];
        };
    };
    learnHeads: {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["NamesIn"];
            };
        };
        responses: {
            /** @description OK */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["NamesIn"];
                };
            };
            400: components["responses"]["Problem400"];
            403: components["responses"]["Problem403"];
            404: components["responses"]["Problem404"];
            405: components["responses"]["Problem405"];
            409: components["responses"]["Problem409"];
            413: components["responses"]["Problem413"];
            422: components["responses"]["Problem422"];
            500: components["responses"]["Problem500"];
            503: components["responses"]["Problem503"];
            507: components["responses"]["Problem507"];
        };
    };
    readFile: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                key: string;
            };
            cookie?: never;
        };
        requestBody: {
            content: {
                "multipart/form-data": {
                    /**
                     * File
                     * Format: binary
                     */
                    file: Blob;
                    /**
                     * Name
                     * @default
                     */
                    name?: string;
                    /**
                     * Keep Good
                     * @default true
                     */
                    keep_good?: boolean;
                    /**
                     * Size
                     * @default 0
                     */
                    size?: number;
                };
            };
        };
        responses: {
            /** @description OK */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["ReadingOut"];
                };
            };
            400: components["responses"]["Problem400"];
            403: components["responses"]["Problem403"];
            404: components["responses"]["Problem404"];
            405: components["responses"]["Problem405"];
            409: components["responses"]["Problem409"];
            413: components["responses"]["Problem413"];
            422: components["responses"]["Problem422"];
            500: components["responses"]["Problem500"];
            503: components["responses"]["Problem503"];
            507: components["responses"]["Problem507"];
        };
    };
    fileState: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                key: string;
                job: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description OK */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["ReadingOut"];
                };
            };
            400: components["responses"]["Problem400"];
            403: components["responses"]["Problem403"];
            404: components["responses"]["Problem404"];
            405: components["responses"]["Problem405"];
            409: components["responses"]["Problem409"];
            413: components["responses"]["Problem413"];
            422: components["responses"]["Problem422"];
            500: components["responses"]["Problem500"];
            503: components["responses"]["Problem503"];
            507: components["responses"]["Problem507"];
        };
    };
    stopFile: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                key: string;
                job: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description OK */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["ReadingOut"];
                };
            };
            400: components["responses"]["Problem400"];
            403: components["responses"]["Problem403"];
            404: components["responses"]["Problem404"];
            405: components["responses"]["Problem405"];
            409: components["responses"]["Problem409"];
            413: components["responses"]["Problem413"];
            422: components["responses"]["Problem422"];
            500: components["responses"]["Problem500"];
            503: components["responses"]["Problem503"];
            507: components["responses"]["Problem507"];
        };
    };
    getReadings: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                key: string;
                taken: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description OK */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["TakenOut"];
                };
            };
            400: components["responses"]["Problem400"];
            403: components["responses"]["Problem403"];
            404: components["responses"]["Problem404"];
            405: components["responses"]["Problem405"];
            409: components["responses"]["Problem409"];
            413: components["responses"]["Problem413"];
            422: components["responses"]["Problem422"];
            500: components["responses"]["Problem500"];
            503: components["responses"]["Problem503"];
            507: components["responses"]["Problem507"];
        };
    };
    removeReadings: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                key: string;
                taken: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description OK */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["ReadingsOut"];
                };
            };
            400: components["responses"]["Problem400"];
            403: components["responses"]["Problem403"];
            404: components["responses"]["Problem404"];
            405: components["responses"]["Problem405"];
            409: components["responses"]["Problem409"];
            413: components["responses"]["Problem413"];
            422: components["responses"]["Problem422"];
            500: components["responses"]["Problem500"];
            503: components["responses"]["Problem503"];
            507: components["responses"]["Problem507"];
        };
    };
    readingsInBin: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                key: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description OK */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["InBin"][];
                };
            };
            400: components["responses"]["Problem400"];
            403: components["responses"]["Problem403"];
            404: components["responses"]["Problem404"];
            405: components["responses"]["Problem405"];
            409: components["responses"]["Problem409"];
            413: components["responses"]["Problem413"];
            422: components["responses"]["Problem422"];
            500: components["responses"]["Problem500"];
            503: components["responses"]["Problem503"];
            507: components["responses"]["Problem507"];
        };
    };
    bringReadingsBack: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                key: string;
                taken: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description OK */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["TakenOut"];
                };
            };
            400: components["responses"]["Problem400"];
            403: components["responses"]["Problem403"];
            404: components["responses"]["Problem404"];
            405: components["responses"]["Problem405"];
            409: components["responses"]["Problem409"];
            413: components["responses"]["Problem413"];
            422: components["responses"]["Problem422"];
            500: components["responses"]["Problem500"];
            503: components["responses"]["Problem503"];
            507: components["responses"]["Problem507"];
        };
    };
    heldReadings: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                key: string;
                taken: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description OK */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["HeldAnswer"];
                };
            };
            400: components["responses"]["Problem400"];
            403: components["responses"]["Problem403"];
            404: components["responses"]["Problem404"];
            405: components["responses"]["Problem405"];
            409: components["responses"]["Problem409"];
            413: components["responses"]["Problem413"];
            422: components["responses"]["Problem422"];
            500: components["responses"]["Problem500"];
            503: components["responses"]["Problem503"];
            507: components["responses"]["Problem507"];
        };
    };
    nameStates: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                key: string;
                taken: string;
            };
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["NamedIn"][];
            };
        };
        responses: {
            /** @description OK */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["HeldAnswer"];
                };
            };
            400: components["responses"]["Problem400"];
            403: components["responses"]["Problem403"];
            404: components["responses"]["Problem404"];
            405: components["responses"]["Problem405"];
            409: components["responses"]["Problem409"];
            413: components["responses"]["Problem413"];
            422: components["responses"]["Problem422"];
            500: components["responses"]["Problem500"];
            503: components["responses"]["Problem503"];
            507: components["responses"]["Problem507"];
        };
    };
    series: {
        parameters: {
            query: {
                channels: string;
                from_s?: number;
                to_s?: number;
                buckets?: number;
            };
            header?: never;
            path: {
                key: string;
                taken: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description OK */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["DrawnOut"][];
                };
            };
            400: components["responses"]["Problem400"];
            403: components["responses"]["Problem403"];
            404: components["responses"]["Problem404"];
            405: components["responses"]["Problem405"];
            409: components["responses"]["Problem409"];
            413: components["responses"]["Problem413"];
            422: components["responses"]["Problem422"];
            500: components["responses"]["Problem500"];
            503: components["responses"]["Problem503"];
            507: components["responses"]["Problem507"];
        };
    };
    settledFigures: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                key: string;
                taken: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description OK */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["SettledOut"][];
                };
            };
            400: components["responses"]["Problem400"];
            403: components["responses"]["Problem403"];
            404: components["responses"]["Problem404"];
            405: components["responses"]["Problem405"];
            409: components["responses"]["Problem409"];
            413: components["responses"]["Problem413"];
            422: components["responses"]["Problem422"];
            500: components["responses"]["Problem500"];
            503: components["responses"]["Problem503"];
            507: components["responses"]["Problem507"];
        };
    };
    readingsFile: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                key: string;
                taken: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description OK */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content?: never;
            };
            400: components["responses"]["Problem400"];
            403: components["responses"]["Problem403"];
            404: components["responses"]["Problem404"];
            405: components["responses"]["Problem405"];
            409: components["responses"]["Problem409"];
            413: components["responses"]["Problem413"];
            422: components["responses"]["Problem422"];
            500: components["responses"]["Problem500"];
            503: components["responses"]["Problem503"];
            507: components["responses"]["Problem507"];
        };
    };
    readingsPicture: {
        parameters: {
            query: {
                channels: string;
                from_s?: number;
                to_s?: number;
            };
            header?: never;
            path: {
                key: string;
                taken: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description OK */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content?: never;
            };
            400: components["responses"]["Problem400"];
            403: components["responses"]["Problem403"];
            404: components["responses"]["Problem404"];
            405: components["responses"]["Problem405"];
            409: components["responses"]["Problem409"];
            413: components["responses"]["Problem413"];
            422: components["responses"]["Problem422"];
            500: components["responses"]["Problem500"];
            503: components["responses"]["Problem503"];
            507: components["responses"]["Problem507"];
        };
    };
    handover: {
        parameters: {
            query?: {
                paper?: "A4" | "letter";
            };
            header?: never;
            path: {
                key: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description OK */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content?: never;
            };
            400: components["responses"]["Problem400"];
            403: components["responses"]["Problem403"];
            404: components["responses"]["Problem404"];
            405: components["responses"]["Problem405"];
            409: components["responses"]["Problem409"];
            413: components["responses"]["Problem413"];
            422: components["responses"]["Problem422"];
            500: components["responses"]["Problem500"];
            503: components["responses"]["Problem503"];
            507: components["responses"]["Problem507"];
        };
    };
    tallyPages: {
        parameters: {
            query?: {
                paper?: "A4" | "letter";
            };
            header?: never;
            path: {
                key: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description OK */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content?: never;
            };
            400: components["responses"]["Problem400"];
            403: components["responses"]["Problem403"];
            404: components["responses"]["Problem404"];
            405: components["responses"]["Problem405"];
            409: components["responses"]["Problem409"];
            413: components["responses"]["Problem413"];
            422: components["responses"]["Problem422"];
            500: components["responses"]["Problem500"];
            503: components["responses"]["Problem503"];
            507: components["responses"]["Problem507"];
        };
    };
    machinePages: {
        parameters: {
            query?: {
                paper?: "A4" | "letter";
            };
            header?: never;
            path: {
                key: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description OK */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content?: never;
            };
            400: components["responses"]["Problem400"];
            403: components["responses"]["Problem403"];
            404: components["responses"]["Problem404"];
            405: components["responses"]["Problem405"];
            409: components["responses"]["Problem409"];
            413: components["responses"]["Problem413"];
            422: components["responses"]["Problem422"];
            500: components["responses"]["Problem500"];
            503: components["responses"]["Problem503"];
            507: components["responses"]["Problem507"];
        };
    };
    listExercises: {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description OK */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["TrainerOut"];
                };
            };
            400: components["responses"]["Problem400"];
            403: components["responses"]["Problem403"];
            404: components["responses"]["Problem404"];
            405: components["responses"]["Problem405"];
            409: components["responses"]["Problem409"];
            413: components["responses"]["Problem413"];
            422: components["responses"]["Problem422"];
            500: components["responses"]["Problem500"];
            503: components["responses"]["Problem503"];
            507: components["responses"]["Problem507"];
        };
    };
    playExercise: {
        parameters: {
            query?: {
                build?: string;
                seed?: number;
            };
            header?: never;
            path: {
                number: number;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description OK */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["PlayedOut"];
                };
            };
            400: components["responses"]["Problem400"];
            403: components["responses"]["Problem403"];
            404: components["responses"]["Problem404"];
            405: components["responses"]["Problem405"];
            409: components["responses"]["Problem409"];
            413: components["responses"]["Problem413"];
            422: components["responses"]["Problem422"];
            500: components["responses"]["Problem500"];
            503: components["responses"]["Problem503"];
            507: components["responses"]["Problem507"];
        };
    };
    exerciseSeries: {
        parameters: {
            query: {
                channels: string;
                build?: string;
                seed?: number;
                from_s?: number;
                to_s?: number;
                buckets?: number;
            };
            header?: never;
            path: {
                number: number;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description OK */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["DrawnOut"][];
                };
            };
            400: components["responses"]["Problem400"];
            403: components["responses"]["Problem403"];
            404: components["responses"]["Problem404"];
            405: components["responses"]["Problem405"];
            409: components["responses"]["Problem409"];
            413: components["responses"]["Problem413"];
            422: components["responses"]["Problem422"];
            500: components["responses"]["Problem500"];
            503: components["responses"]["Problem503"];
            507: components["responses"]["Problem507"];
        };
    };
    lookAtJoint: {
        parameters: {
            query?: {
                build?: string;
                seed?: number;
            };
            header?: never;
            path: {
                number: number;
            };
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["LookIn"];
            };
        };
        responses: {
            /** @description OK */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["SeenOut"];
                };
            };
            400: components["responses"]["Problem400"];
            403: components["responses"]["Problem403"];
            404: components["responses"]["Problem404"];
            405: components["responses"]["Problem405"];
            409: components["responses"]["Problem409"];
            413: components["responses"]["Problem413"];
            422: components["responses"]["Problem422"];
            500: components["responses"]["Problem500"];
            503: components["responses"]["Problem503"];
            507: components["responses"]["Problem507"];
        };
    };
    answerExercise: {
        parameters: {
            query?: {
                build?: string;
                seed?: number;
            };
            header?: never;
            path: {
                number: number;
            };
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["AnswerIn"];
            };
        };
        responses: {
            /** @description OK */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Judged"];
                };
            };
            400: components["responses"]["Problem400"];
            403: components["responses"]["Problem403"];
            404: components["responses"]["Problem404"];
            405: components["responses"]["Problem405"];
            409: components["responses"]["Problem409"];
            413: components["responses"]["Problem413"];
            422: components["responses"]["Problem422"];
            500: components["responses"]["Problem500"];
            503: components["responses"]["Problem503"];
            507: components["responses"]["Problem507"];
        };
    };
    whoAsks: {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description OK */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["HereOut"];
                };
            };
            400: components["responses"]["Problem400"];
            403: components["responses"]["Problem403"];
            404: components["responses"]["Problem404"];
            405: components["responses"]["Problem405"];
            409: components["responses"]["Problem409"];
            413: components["responses"]["Problem413"];
            422: components["responses"]["Problem422"];
            500: components["responses"]["Problem500"];
            503: components["responses"]["Problem503"];
            507: components["responses"]["Problem507"];
        };
    };
    buildNews: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                key: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description OK */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["NewsOut"];
                };
            };
            400: components["responses"]["Problem400"];
            403: components["responses"]["Problem403"];
            404: components["responses"]["Problem404"];
            405: components["responses"]["Problem405"];
            409: components["responses"]["Problem409"];
            413: components["responses"]["Problem413"];
            422: components["responses"]["Problem422"];
            500: components["responses"]["Problem500"];
            503: components["responses"]["Problem503"];
            507: components["responses"]["Problem507"];
        };
    };
    networkDoor: {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description OK */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["DoorOut"];
                };
            };
            400: components["responses"]["Problem400"];
            403: components["responses"]["Problem403"];
            404: components["responses"]["Problem404"];
            405: components["responses"]["Problem405"];
            409: components["responses"]["Problem409"];
            413: components["responses"]["Problem413"];
            422: components["responses"]["Problem422"];
            500: components["responses"]["Problem500"];
            503: components["responses"]["Problem503"];
            507: components["responses"]["Problem507"];
        };
    };
    openNetworkDoor: {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["OpenDoorIn"];
            };
        };
        responses: {
            /** @description OK */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["DoorOut"];
                };
            };
            400: components["responses"]["Problem400"];
            403: components["responses"]["Problem403"];
            404: components["responses"]["Problem404"];
            405: components["responses"]["Problem405"];
            409: components["responses"]["Problem409"];
            413: components["responses"]["Problem413"];
            422: components["responses"]["Problem422"];
            500: components["responses"]["Problem500"];
            503: components["responses"]["Problem503"];
            507: components["responses"]["Problem507"];
        };
    };
    closeNetworkDoor: {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description OK */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["DoorOut"];
                };
            };
            400: components["responses"]["Problem400"];
            403: components["responses"]["Problem403"];
            404: components["responses"]["Problem404"];
            405: components["responses"]["Problem405"];
            409: components["responses"]["Problem409"];
            413: components["responses"]["Problem413"];
            422: components["responses"]["Problem422"];
            500: components["responses"]["Problem500"];
            503: components["responses"]["Problem503"];
            507: components["responses"]["Problem507"];
        };
    };
    newDoorCode: {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["AllowsIn"];
            };
        };
        responses: {
            /** @description OK */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["DoorOut"];
                };
            };
            400: components["responses"]["Problem400"];
            403: components["responses"]["Problem403"];
            404: components["responses"]["Problem404"];
            405: components["responses"]["Problem405"];
            409: components["responses"]["Problem409"];
            413: components["responses"]["Problem413"];
            422: components["responses"]["Problem422"];
            500: components["responses"]["Problem500"];
            503: components["responses"]["Problem503"];
            507: components["responses"]["Problem507"];
        };
    };
    doorCodePicture: {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description OK */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content?: never;
            };
            400: components["responses"]["Problem400"];
            403: components["responses"]["Problem403"];
            404: components["responses"]["Problem404"];
            405: components["responses"]["Problem405"];
            409: components["responses"]["Problem409"];
            413: components["responses"]["Problem413"];
            422: components["responses"]["Problem422"];
            500: components["responses"]["Problem500"];
            503: components["responses"]["Problem503"];
            507: components["responses"]["Problem507"];
        };
    };
    sendDeviceAway: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                number: number;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description OK */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["DoorOut"];
                };
            };
            400: components["responses"]["Problem400"];
            403: components["responses"]["Problem403"];
            404: components["responses"]["Problem404"];
            405: components["responses"]["Problem405"];
            409: components["responses"]["Problem409"];
            413: components["responses"]["Problem413"];
            422: components["responses"]["Problem422"];
            500: components["responses"]["Problem500"];
            503: components["responses"]["Problem503"];
            507: components["responses"]["Problem507"];
        };
    };
    allowDevice: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                number: number;
            };
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["AllowsIn"];
            };
        };
        responses: {
            /** @description OK */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["DoorOut"];
                };
            };
            400: components["responses"]["Problem400"];
            403: components["responses"]["Problem403"];
            404: components["responses"]["Problem404"];
            405: components["responses"]["Problem405"];
            409: components["responses"]["Problem409"];
            413: components["responses"]["Problem413"];
            422: components["responses"]["Problem422"];
            500: components["responses"]["Problem500"];
            503: components["responses"]["Problem503"];
            507: components["responses"]["Problem507"];
        };
    };
}
