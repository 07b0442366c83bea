import { useQuery, useQueryClient } from "@tanstack/react-query";
import { useEffect, useRef, useState } from "react";
import { useLocation, useNavigate, useSearchParams } from "react-router";

import { client, take, type Candidate } from "../../api/client";
import { useBuild, useResult, useWrite } from "../../state/build/contexts";
import { fits, NO_FILTER } from "../../state/supply/filter";
import { aboutOf, sizingNote, whoseOf } from "../../state/supply/ticket";
import { buildsQuery, candidatesQuery, feedsQuery, stayQuery } from "../../state/queries";
import { Button } from "../../ui/button";
import { Dialog } from "../../ui/dialog";
import { Exchange } from "../frame/Exchange";
import { StationHead } from "../frame/Head";
import { AllChecks } from "./checks";
import { MOST, OWN } from "./chosen";
import { Filters } from "./Filters";
import { InFront } from "./InFront";
import { LabelFields } from "./LabelFields";
import { LookedAt } from "./LookedAt";
import { PriceField } from "./PriceField";
import { Sizes } from "./Sizes";
import { Tabs } from "./Tabs";
import { supplyPages } from "./pages";
import { Ticket } from "./Ticket";
import { WattRuler } from "./WattRuler";

/** What the rules ask for along one line of watts, and the supplies that hang on it. */
export default function Supply() {
  const build = useBuild();
  const { result } = useResult();
  const { takeSupply } = useWrite();
  const { data } = useQuery(candidatesQuery(build.key, build.version));
  const [lit, setLit] = useState("");
  const [filter, setFilter] = useState(NO_FILTER);
  const [compared, setCompared] = useState<string[]>([]);
  const [params, setParams] = useSearchParams();
  const navigate = useNavigate();
  const opened = params.get("open") ?? "";
  const field = params.get("field") ?? "";
  const open = (slug: string) => setParams(slug ? { open: slug } : {});
  const own = build.doc.supply;
  const location = useLocation();
  const taken = useRef(false);
  useEffect(() => {
    taken.current ||= (location.state as { taken?: boolean } | null)?.taken ?? false;
  }, [location]);
  const ownSlug = own?.slug;
  useEffect(() => {
    // What was taken is in hand: its own ticket, which comes in the place of the one that was chosen.
    if (!taken.current || ownSlug === undefined) return;
    const ticket = document.querySelector<HTMLElement>("[data-ticket][data-in-build=true]");
    ticket?.focus();
    ticket?.scrollIntoView({ block: "nearest" });
    taken.current = false;
  }, [ownSlug]);
  const feeds = useFeeds(build.key, build.version, data?.length ?? 0);
  const all = (data ?? []).filter((c) => !c.in_build);
  const found = all.filter((c) => fits(c, filter));
  const compare = (slug: string) =>
    setCompared((now) => (now.includes(slug) ? now.filter((s) => s !== slug) : [...now, slug].slice(-MOST)));
  return (
    <div className="flex h-full min-h-0 flex-col">
      <StationHead title="Supply" note={sizingNote(result.sizing)} rest={supplyPages(build.key)}>
        <Tabs />
      </StationHead>
      {opened === "looked-at" && <LookedAt onClose={() => open("")} />}
      {opened === "in-front" && <InFront onClose={() => open("")} />}
      <div className="min-h-0 flex-1 overflow-auto px-6 pb-5 max-[700px]:px-3">
        <div data-sideways className="overflow-x-auto">
          <div className="min-w-[820px]">
            <WattRuler candidates={data ?? []} lit={lit} onLight={setLit} onOpen={open} />
          </div>
        </div>
        <Sizes />
        <div className="mt-2 flex flex-wrap items-center gap-x-3 gap-y-1">
          <Filters all={all} shown={found.length} filter={filter} onFilter={setFilter} />
          <span className="ml-auto flex gap-2">
            {compared.length > 1 && (
              <Button look="main" onClick={() => void navigate(`compare?of=${compared.join(",")}`)}>
                Compare the {compared.length}
              </Button>
            )}
            <Button onClick={() => open("in-front")}>The one in front of me</Button>
            <Button onClick={() => open("looked-at")}>One I am looking at</Button>
          </span>
        </div>
        <ul className="mt-2 grid grid-cols-3 items-start gap-4 max-[1100px]:grid-cols-2 max-[700px]:grid-cols-1">
          {own && result.supply && (
            <Ticket
              name={own.name}
              about={aboutOf(own, build.doc.cables.length)}
              answer={result.supply}
              inBuild
              from={own.owned ? "yours, in this build" : "in this build"}
              compared={compared.includes(OWN)}
              onCompare={() => compare(OWN)}
              lit={lit === own.slug && own.slug !== ""}
              onLight={(on) => setLit(on ? own.slug : "")}
              onOpen={() => open(OWN)}
              stay={<Stay />}
            >
              <LabelFields supply={own} field={field} />
            </Ticket>
          )}
          {found.map((c) => (
            <CandidateTicket
              key={c.slug}
              of={c}
              feeds={feeds.get(c.slug)}
              lit={lit === c.slug}
              compared={compared.includes(c.slug)}
              onCompare={() => compare(c.slug)}
              onLight={(on) => setLit(on ? c.slug : "")}
              onOpen={() => open(c.slug)}
              onTake={() => {
                taken.current = true;
                void takeSupply(c.slug);
              }}
            />
          ))}
        </ul>
      </div>
      <EveryCheck of={opened} candidates={all} onClose={() => open("")} />
    </div>
  );
}

/** Every check of the supply that the address names: the one in place, or a candidate. */
function EveryCheck({
  of,
  candidates,
  onClose,
}: {
  of: string;
  candidates: Candidate[];
  onClose: () => void;
}) {
  const own = useBuild().doc.supply;
  const { result } = useResult();
  const candidate = candidates.find((c) => c.slug === of);
  const name = of === OWN ? own?.name : candidate?.supply.name;
  const answer = of === OWN ? result.supply : candidate?.answer;
  if (!name || !answer) return null;
  return (
    <Dialog open onClose={onClose} title={`${name}, every check`} wide>
      <AllChecks answer={answer} />
      {of === OWN && <Exchange of="supply" name={name} />}
    </Dialog>
  );
}

/** A supply that may be taken: of the drawer, of the catalogue, or one that is looked at. */
function CandidateTicket({
  of: c,
  feeds,
  ...rest
}: {
  of: Candidate;
  feeds: { unfed: number; needed: number } | undefined;
  lit: boolean;
  compared: boolean;
  onCompare: () => void;
  onLight: (on: boolean) => void;
  onOpen: () => void;
  onTake: () => void;
}) {
  const { key } = useBuild();
  const { data: builds = [] } = useQuery(buildsQuery);
  const from = whoseOf(c, key, (b) => builds.find((x) => x.key === b)?.name ?? b);
  return (
    <Ticket
      name={c.supply.name}
      about={aboutOf(c.supply, c.cables.length)}
      answer={c.answer}
      inBuild={false}
      from={from}
      {...rest}
    >
      {c.source !== "owned" && (
        <div className="mt-1 border-t border-rule pt-2">
          <PriceField of={c.slug} name={c.supply.name} />
        </div>
      )}
      {feeds && feeds.needed > 0 && (
        <p data-feeds={feeds.unfed} className="mt-1 border-t border-rule pt-2 text-sm font-semibold">
          {feeds.unfed === 0 ? (
            `Feeds all ${feeds.needed} sockets, by a map`
          ) : (
            <span className="text-over">
              No map feeds more than {feeds.needed - feeds.unfed} of {feeds.needed} sockets
            </span>
          )}
        </p>
      )}
    </Ticket>
  );
}

/** Which supplies feed all sockets: asked once for each version of the build, then looked at until
 * all that are there are known. */
function useFeeds(key: string, version: number, candidates: number) {
  const queries = useQueryClient();
  const known = useRef(-1);
  const still = useRef(0);
  const { queryKey } = feedsQuery(key, version);
  useEffect(() => {
    known.current = -1;
    still.current = 0;
    void take(client.POST("/api/v1/builds/{key}/feeds", { params: { path: { key } } }))
      .then((found) => queries.setQueryData(feedsQuery(key, version).queryKey, found))
      .catch(() => undefined); // the tickets then say nothing of it
  }, [key, version, queries]);
  const { data = [] } = useQuery({
    ...feedsQuery(key, version),
    queryKey,
    refetchInterval: (query) => {
      const n = query.state.data?.length ?? 0;
      still.current = n === known.current ? still.current + 1 : 0;
      known.current = n;
      return n < candidates && still.current < 12 ? 700 : false;
    },
  });
  return new Map(data.map((f) => [f.slug, f]));
}

/** What would let the supply in place stay, a button each. */
function Stay() {
  const build = useBuild();
  const { act } = useWrite();
  const { data = [] } = useQuery(stayQuery(build.key, build.version));
  if (!data.length) return null;
  return (
    <div className="mt-2 border-t border-rule pt-2">
      <h3 className="text-base font-bold">Can it stay?</h3>
      {data.map((way) => (
        <button
          key={way.id + way.text}
          type="button"
          className="mt-1 block w-full rounded-[3px] border border-accent px-3 py-1 text-left text-base font-semibold text-accent hover:bg-accent hover:text-accent-ink"
          onClick={() => void act(way.edit)}
        >
          {way.text}
          {/* Of a lead nobody knows what moves before it is mapped; its price is in the sentence. */}
          {(way.id === "power-limit" || way.id === "headroom") && (
            <span className="block text-sm font-normal">{way.price.text}</span>
          )}
        </button>
      ))}
    </div>
  );
}
