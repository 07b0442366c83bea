import {
  DndContext,
  MeasuringStrategy,
  MouseSensor,
  pointerWithin,
  TouchSensor,
  useSensor,
  useSensors,
} from "@dnd-kit/core";
import { useQuery } from "@tanstack/react-query";
import { Link, useSearchParams } from "react-router";

import type { MapWish, Supply } from "../../api/client";
import { Panel } from "../../drawing/Panel";
import { useBuild, useResult, useShown, useWrite } from "../../state/build/contexts";
import { drawnLanes, rulerLength, type Drawn } from "../../state/loom/lanes";
import { portHit, type Picked } from "../../state/loom/pick";
import { useMayEdit } from "../../state/frame/here";
import { referenceQuery } from "../../state/queries";
import { useWords } from "../../words";
import { Button } from "../../ui/button";
import { useNarrow } from "../../ui/narrow";
import { usePlace } from "../frame/Frame";
import { StationHead } from "../frame/Head";
import { CableList } from "./CableList";
import { LaneRow, Ruler } from "./LaneRow";
import { NarrowLoom } from "./NarrowLoom";
import { OffersList } from "./OffersList";
import { AddLoose } from "./AddLoose";
import { Betweens } from "./Betweens";
import { SocketList } from "./SocketList";
import { MapPanel } from "./MapPanel";
import { useMapping } from "./useMapping";
import { usePicking, type Picking } from "./usePicking";
import { WhyPanel } from "./WhyPanel";

/** Cables as lanes from the panel to their plugs; the sockets that they feed; picking both ends. */
export default function Loom() {
  const build = useBuild();
  const { doc } = build;
  if (!doc.supply)
    return (
      <>
        <StationHead title="Loom" note="cables from the supply to the sockets" />
        <p className="mx-6 border border-dashed border-rule-strong p-6 text-lg">
          There is no supply yet, so there are no cables to lay.{" "}
          <Link className="font-bold text-accent underline" to={`/b/${build.key}/supply`}>
            Choose a supply
          </Link>{" "}
          first.
        </p>
      </>
    );
  return <WithSupply supply={doc.supply} />;
}

function WithSupply({ supply }: { supply: Supply }) {
  const build = useBuild();
  const { result } = useResult();
  const { act, say } = useWrite();
  const { doc } = build;
  const { data: reference } = useQuery(referenceQuery);
  const place = usePlace();
  const [, setParams] = useSearchParams();
  const lanes = drawnLanes(doc, result, reference);
  const feeding = result.sockets.find((s) => s.ref === place)?.cable;
  const chosen = lanes.find((d) => d.cable.key === (feeding ?? place)) ?? null;
  const choose = (cable: string) => setParams(cable ? { at: cable } : {}, { replace: true });
  const isLane = (cable: string) => lanes.some((d) => d.cable.key === cable);
  const hand = usePicking(place, Boolean(feeding), choose, isLane);
  const { picked, offers } = hand;
  const mapping = useMapping(() => hand.hold(null));
  const narrow = useNarrow();
  // A mouse has to move a little, a finger to rest: a tap stays a tap, a scroll a scroll.
  const sensors = useSensors(
    useSensor(MouseSensor, { activationConstraint: { distance: 8 } }),
    useSensor(TouchSensor, { activationConstraint: { delay: 200, tolerance: 8 } }),
  );
  const dropped = (plug: Picked, onto: string | null) => {
    hand.hold(onto ? plug : null);
    if (onto) hand.onSocket(onto);
  };
  const onPort = (port: string, free: boolean) => {
    const next = portHit(port, free, doc.runs, chosen);
    if (next.do === "choose") choose(next.cable);
    else if (next.do === "plug in") void act({ type: "plug in", ...next.plugged });
    else if (next.do === "refuse") say(next.reason);
  };
  const ends = mapping.open ? (
    <MapPanel onClose={mapping.close} onAgain={mapping.ask} />
  ) : picked?.kind === "socket" ? (
    <OffersList
      ref_={picked.ref}
      offers={offers}
      onPut={hand.put}
      onPark={hand.park}
      onBack={() => hand.backTo(picked.ref)}
    />
  ) : (
    <SocketList
      picked={picked}
      offers={offers}
      focus={hand.focus}
      onSocket={hand.onSocket}
      swap={hand.swap}
      onSwap={hand.setSwap}
      onPark={hand.park}
      onBack={() => hand.hold(null)}
    />
  );
  return (
    <DndContext
      sensors={sensors}
      collisionDetection={pointerWithin}
      autoScroll={false}
      // The list of sockets makes room for what is in hand: where each stands is asked anew.
      measuring={{ droppable: { strategy: MeasuringStrategy.Always } }}
      accessibility={{ screenReaderInstructions: { draggable: "" } }}
      onDragStart={({ active }) => hand.pick(plugOf(active.data.current))}
      onDragCancel={() => hand.hold(null)}
      onDragEnd={({ active, over }) => dropped(plugOf(active.data.current), over && String(over.id))}
    >
      <div
        className="flex h-full min-h-0 flex-col"
        onKeyDown={(e) => e.key === "Escape" && picked && hand.hold(null)}
      >
        <Head supply={supply} onMap={mapping.ask} />
        {narrow ? (
          <NarrowLoom
            side={mapping.open || picked !== null ? ends : null}
            sockets={ends}
            cables={
              <CableList
                lanes={lanes}
                chosen={chosen}
                moved={mapping.moved}
                onChoose={choose}
                onPlug={hand.onPlug}
              />
            }
            drawing={
              <>
                <Panel
                  supply={supply}
                  runs={doc.runs}
                  cables={doc.cables}
                  chosen={chosen?.lane?.ports ?? []}
                  onPort={onPort}
                />
                <Lanes lanes={lanes} chosen={chosen} moved={mapping.moved} hand={hand} onChoose={choose} />
              </>
            }
          />
        ) : (
          <div className="flex min-h-0 flex-1 gap-4 px-6 pb-3">
            <div className="flex min-h-0 min-w-0 flex-1 flex-col gap-2">
              <div className="grid max-h-[196px] min-h-[150px] shrink-0 grid-cols-[minmax(0,auto)_minmax(320px,1fr)] gap-3">
                <Panel
                  supply={supply}
                  runs={doc.runs}
                  cables={doc.cables}
                  chosen={chosen?.lane?.ports ?? []}
                  onPort={onPort}
                />
                <WhyPanel drawn={chosen} />
              </div>
              <Lanes lanes={lanes} chosen={chosen} moved={mapping.moved} hand={hand} onChoose={choose} />
            </div>
            <aside
              aria-label="Sockets"
              className={`flex min-h-0 shrink-0 flex-col border border-rule bg-slip ${mapping.open ? "w-[372px] max-[1100px]:w-[320px]" : "w-[272px] max-[1100px]:w-[248px]"}`}
            >
              {ends}
            </aside>
          </div>
        )}
      </div>
    </DndContext>
  );
}

function Head({ supply, onMap }: { supply: Supply; onMap: (wish: MapWish) => void }) {
  const { doc } = useBuild();
  const { result } = useResult();
  const { runState } = useShown();
  const words = useWords();
  const [params, setParams] = useSearchParams();
  const adding = params.has("add");
  const at = params.get("at") ?? "";
  const setAdding = (on: boolean) =>
    setParams({ ...(at && { at }), ...(on && { add: "1" }) }, { replace: true });
  const mayEdit = useMayEdit();
  const unfed = doc.parts.filter((p) =>
    result.sockets.some((s) => s.part === p.key && s.required && !s.cable),
  );
  return (
    <>
      <StationHead
        title="Loom"
        note={`currents at ${words.states[runState] ?? runState}, in ${supply.name}`}
        main={
          mayEdit && (
            <Button look="main" onClick={() => onMap({ what: "all" })}>
              Map it
            </Button>
          )
        }
        rest={
          !mayEdit
            ? []
            : [
                {
                  label: "Map…",
                  items: [
                    { label: "The rest, beside what is plugged", onSelect: () => onMap({ what: "rest" }) },
                    { label: "With as little change as may be", onSelect: () => onMap({ what: "least" }) },
                    ...unfed.map((p) => ({
                      label: `Only ${p.name}`,
                      onSelect: () => onMap({ what: "part", part: p.key }),
                    })),
                  ],
                },
                { label: "Add a cable or adapter", onSelect: () => setAdding(true) },
              ]
        }
      />
      {adding && <AddLoose onClose={() => setAdding(false)} />}
    </>
  );
}

/** The cables on a ruler, with what stands in between below them. */
function Lanes({
  lanes,
  chosen,
  moved,
  hand,
  onChoose,
}: {
  lanes: Drawn[];
  chosen: Drawn | null;
  moved: Map<string, string>;
  hand: Picking;
  onChoose: (cable: string) => void;
}) {
  const { result } = useResult();
  const length = rulerLength(lanes);
  const { picked, offers } = hand;
  return (
    <div className="flex min-h-0 flex-1 flex-col gap-2 max-[700px]:overflow-x-auto">
      <div className="contents max-[700px]:block max-[700px]:w-[700px]">
        <Ruler length={length} />
        <ul
          aria-label="Cables"
          className="min-h-0 flex-1 overflow-x-hidden overflow-y-auto max-[700px]:overflow-visible"
        >
          {lanes.map((d, i) => (
            <LaneRow
              key={d.cable.key}
              drawn={d}
              length={length}
              chosen={chosen?.cable.key === d.cable.key}
              change={moved.get(d.cable.key) ?? ""}
              firstInBag={d.where === "bag" && lanes[i - 1]?.where !== "bag"}
              picked={picked}
              offers={offers}
              onChoose={() => onChoose(d.cable.key)}
              onPlug={(plug) => hand.onPlug(d.cable.key, plug)}
            />
          ))}
          <Betweens
            things={result.betweens}
            picked={picked}
            offers={offers}
            onPlug={hand.onPlug}
            onLead={hand.onSocket}
          />
        </ul>
      </div>
    </div>
  );
}

/** The plug that is dragged. */
function plugOf(data: Record<string, unknown> | undefined): Picked {
  return { kind: "plug", cable: String(data?.cable), plug: String(data?.plug) };
}
