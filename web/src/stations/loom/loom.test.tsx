import { describe, expect, it } from "vitest";

import type { Offers, SocketAnswer } from "../../api/client";
import { buildWith, drawn, every, resultWith, wordsOf } from "../../testing/render";
import { LaneRow, Ruler } from "./LaneRow";
import { OffersList } from "./OffersList";
import { SocketList } from "./SocketList";

const nothing = () => undefined;
const later = () => Promise.resolve();
const socket = (ref: string, more: Partial<SocketAnswer> = {}) =>
  ({
    ref,
    part: ref.split("#")[0],
    words: ref,
    own_words: "",
    kind: "sata",
    kind_words: "SATA power",
    fed_by: "",
    cable: null,
    carrier: null,
    plug: null,
    required: true,
    through: "",
    ...more,
  }) as unknown as SocketAnswer;
const build = buildWith({ parts: [{ key: "disk", name: "Mudflat disk" }] });

describe("the list of sockets", () => {
  const sockets = [
    socket("disk#1/power", { cable: "c1", fed_by: "D1" }),
    socket("disk#2/power"),
    socket("disk#3/power", { required: false }),
  ];
  const list = (more: { picked?: never; offers?: Offers } = {}) =>
    drawn(
      <SocketList
        picked={more.picked ?? null}
        offers={more.offers}
        focus=""
        swap={false}
        onSwap={nothing}
        onSocket={nothing}
        onPark={later}
        onBack={nothing}
      />,
      { build, result: resultWith({ sockets, strip: { sockets_fed: 1, sockets_needed: 2 } }) },
    );

  it("says of each what feeds it, that nothing does, or that nothing has to", () => {
    const words = wordsOf(list());
    expect(words).toBe(
      "Sockets 1 of 2 fed Mudflat disk SATA power not fed SATA power D1 SATA power optional open",
    );
    expect(every(list(), "data-fed")).toEqual(["false", "true", "false"]);
  });

  it("says where a plug in hand fits", () => {
    const picked = { kind: "plug", cable: "c1", plug: "1" } as never;
    const offers = { picked: "SATA plug of cable 1", fitting: [{ socket: "disk#2/power" }], refused: [] };
    const markup = list({ picked, offers: offers as unknown as Offers });
    expect(wordsOf(markup)).toContain("Where does it go?");
    expect(wordsOf(markup)).toContain("SATA plug of cable 1");
    expect(every(markup, "data-fits")).toEqual(["true", "false", "false"]);
  });

  it("says that there are none yet", () => {
    const empty = drawn(
      <SocketList
        picked={null}
        offers={undefined}
        focus=""
        swap={false}
        onSwap={nothing}
        onSocket={nothing}
        onPark={later}
        onBack={nothing}
      />,
      { result: resultWith({ strip: { sockets_fed: 0, sockets_needed: 0 } }) },
    );
    expect(wordsOf(empty)).toContain("No part has a power socket yet.");
  });
});

describe("what feeds a socket", () => {
  const offer = (cable: string, more: Record<string, unknown> = {}) => ({
    cable,
    cable_name: `Cable ${cable}`,
    plug: "1",
    half: "",
    text: `Cable ${cable}, plug 1`,
    note: "",
    spare: false,
    verdict: "within",
    percent: 61,
    refused_by_rule: false,
    reason: "",
    ...more,
  });
  const list = (offers: unknown) =>
    drawn(
      <OffersList
        ref_="disk#2/power"
        offers={offers as Offers}
        onPut={nothing}
        onPark={later}
        onBack={nothing}
      />,
      { build, result: resultWith({ sockets: [socket("disk#2/power")] }) },
    );

  it("is told with its verdict and its share, and what a house rule refuses as refused", () => {
    const markup = list({
      fitting: [
        offer("a"),
        offer("b", { verdict: "over", percent: 112, refused_by_rule: true, spare: true }),
      ],
      refused: [],
    });
    expect(every(markup, "data-offer")).toEqual(["a/1", "b/1"]);
    expect(wordsOf(markup)).toContain("Cable a, plug 1 within 61 %");
    expect(wordsOf(markup)).toContain("Cable b, plug 1 refused 112 % out of the bag");
  });

  it("is said to be nothing where nothing fits, and why", () => {
    const refused = [
      offer("a", { reason: "its wires end 80 mm before the socket" }),
      offer("b", { reason: "its wires end 80 mm before the socket" }),
    ];
    const words = wordsOf(list({ fitting: [], refused }));
    expect(words).toContain("Nothing in the box fits this socket.");
    expect(words).toContain("2 plugs: Cable a, Cable b its wires end 80 mm before the socket");
  });
});

describe("a lane", () => {
  const cable = { key: "c1", name: "SATA cable 1", family: "marram", gauge: 18, needs: ["drive"], plugs: [] };
  const row = (lane: unknown, more: Record<string, unknown> = {}) =>
    drawn(
      <ul>
        <LaneRow
          drawn={{ cable, lane, where: lane ? "panel" : "bag", labels: lane ? "D1" : "", plugs: [] } as never}
          length={900}
          chosen={false}
          change=""
          firstInBag={!lane}
          picked={null}
          offers={undefined}
          onChoose={nothing}
          onPlug={nothing}
          {...more}
        />
      </ul>,
    );
  const lane = {
    verdict: "tight",
    refused: false,
    percent: 91,
    pinned: true,
    onward: [],
    plugs: [{ feeds: "Mudflat disk 1" }, { feeds: "" }],
    steps: [],
    ports: ["D1"],
  };

  it("is called by its ports, and by its name for who does not see them", () => {
    expect(wordsOf(row(lane))).toContain("D1 SATA cable 1 kept as it is 91 % tight");
  });

  it("in the bag has its name, and no verdict", () => {
    expect(wordsOf(row(null))).toBe("In the bag SATA cable 1");
    expect(every(row(null), "data-verdict")).toEqual(["bag"]);
  });

  it("says what a map that is shown would do to it", () => {
    expect(wordsOf(row(lane, { change: "changes" }))).toContain("changed");
    expect(wordsOf(row(lane, { change: "goes out" }))).toContain("to its bag");
    expect(wordsOf(row(lane, { change: "stays" }))).not.toContain("changed");
  });

  it("stands on a ruler in millimetres", () => {
    expect(wordsOf(drawn(<Ruler length={350} />))).toBe("0 mm 100 200");
  });
});
