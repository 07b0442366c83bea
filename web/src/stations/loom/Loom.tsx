import {
  DndContext,
  MeasuringStrategy,
  MouseSensor,
  pointerWithin,
  TouchSensor,
  useSensor,
  useSensors,
} from "@dnd-kit/core";
import { useQuery, useQueryClient } from "@tanstack/react-query";
import { useState } from "react";
import { Link, useSearchParams } from "react-router";

import { client, reason, take, type MapWish } from "../../api/client";
import { Panel } from "../../drawing/Panel";
import { useBuild, useResult, useShown, useWrite } from "../../state/build/contexts";
import { drawnLanes, rulerLength } from "../../state/loom/lanes";
import { type Next, type Picked } from "../../state/loom/pick";
import { mapQuery, offersQuery, referenceQuery } from "../../state/queries";
import { useWords } from "../../words";
import { Button } from "../../ui/button";
import { Menu, MenuItem } from "../../ui/menu";
import { StationHead, usePlace } from "../frame/Frame";
import { LaneRow, Ruler } from "./LaneRow";
import { OffersList } from "./OffersList";
import { AddLoose } from "./AddLoose";
import { Betweens } from "./Betweens";
import { useHand } from "./hand";
import { SocketList } from "./SocketList";
import { MapPanel } from "./MapPanel";
import { WhyPanel } from "./WhyPanel";

/** Cables as lanes from the panel to their plugs; the sockets that they feed; picking both ends. */
export default function Loom() {
  const build = useBuild();
  const { result } = useResult();
  const { runState } = useShown();
  const { act, say } = useWrite();
  const { doc } = build;
  const words = useWords();
  const { data: reference } = useQuery(referenceQuery);
  const place = usePlace();
  const [, setParams] = useSearchParams();
  const queries = useQueryClient();
  /** What fits an end: a tap on the other one that comes before the answer waits for it. */
  const offersOf = async (held: Picked) => {
    try {
      return (await queries.fetchQuery(offersQuery(build.key, build.version, held))).offers;
    } catch (error) {
      say(reason(error));
      return undefined;
    }
  };
  const { picked, open: openEnd, hold, hit, held } = useHand(offersOf);
  const offers = useQuery(offersQuery(build.key, build.version, picked)).data?.offers;
  const lanes = drawnLanes(doc, result.lanes, reference);
  const length = rulerLength(doc, result.lanes);
  const feeding = result.sockets.find((s) => s.ref === place)?.cable;
  const chosen = lanes.find((d) => d.cable.key === (feeding ?? place)) ?? null;
  const choose = (cable: string) => setParams(cable ? { at: cable } : {}, { replace: true });
  const [focus, setFocus] = useState("");
  const devices = doc.parts.filter((p) =>
    result.sockets.some((s) => s.part === p.key && s.required && !s.cable),
  );
  const [adding, setAdding] = useState(false);
  const [swap, setSwap] = useState(false);
  const [mapping, setMapping] = useState(false);
  const asked = useQuery(mapQuery(build.key)).data;
  // A map that was asked for before the page was loaded anew is still there.
  const open = mapping || (asked !== undefined && asked.state !== "none" && asked.version === build.version);
  // Of a map of the build as it was nothing is laid over the lanes.
  const answer = open && asked?.version === build.version ? asked.answer : null;
  const moved = answer ? new Map(answer.moves.map((m) => [m.cable, m.id])) : null;
  const mapIt = async (wish: MapWish) => {
    try {
      const job = await take(
        client.POST("/api/v1/builds/{key}/map", {
          params: { path: { key: build.key } },
          body: { base_version: build.version, ...wish },
        }),
      );
      queries.setQueryData(mapQuery(build.key).queryKey, job);
      hold(null);
      setMapping(true);
    } catch (error) {
      say(reason(error));
    }
  };

  // A link to an unfed socket opens what fits it.
  const [followed, setFollowed] = useState("");
  if (place !== followed) {
    setFollowed(place);
    if (place.includes("#") && !feeding) openEnd({ kind: "socket", ref: place });
  }

  const step = async (next: Next) => {
    if (next.do === "pick") {
      say("");
      hold(next.picked);
      if (next.picked.kind === "plug") choose(next.picked.cable);
    } else if (next.do === "drop") hold(null);
    else if (next.do === "refuse") say(next.reason);
    else if (next.do === "put") {
      const { offer } = next;
      const before = held.current;
      const there = result.sockets.find((s) => s.ref === offer.socket);
      const other =
        swap &&
        there?.carrier &&
        there.plug &&
        `${there.carrier}/${there.plug}` !== `${offer.cable}/${offer.plug}`
          ? { other_cable: there.carrier, other_plug: there.plug }
          : null;
      const done = other
        ? await act({ type: "swap plugs", cable: offer.cable, plug: offer.plug, ...other })
        : await act({
            type: "connect",
            cable: offer.cable,
            plug: offer.plug,
            half: offer.half,
            socket: offer.at,
            ports: offer.ports,
          });
      // What was picked meanwhile is what is in hand: nothing moves under the pointer then.
      if (done && held.current === before) {
        setFocus(offer.socket);
        hold(null);
        setSwap(false);
        if (
          result.lanes.some((l) => l.cable === offer.cable) ||
          lanes.some((d) => d.cable.key === offer.cable)
        )
          choose(offer.cable);
      }
    }
  };
  const onPlug = (cable: string, plug: string) =>
    hit(
      (m) => m.hitPlug(cable, plug),
      (n) => void step(n),
    );
  const onSocket = (ref: string) =>
    hit(
      (m) => m.hitSocket(ref),
      (n) => void step(n),
    );
  const park = async (cable: string, plug: string) => {
    const before = held.current;
    // What was picked meanwhile stays picked.
    if ((await act({ type: "park", cable, plug })) && held.current === before) hold(null);
  };
  // A mouse has to move a little, a finger to rest: a tap stays a tap, a scroll a scroll.
  const sensors = useSensors(
    useSensor(MouseSensor, { activationConstraint: { distance: 8 } }),
    useSensor(TouchSensor, { activationConstraint: { delay: 200, tolerance: 8 } }),
  );
  const dropped = (plug: Picked, onto: string | null) => {
    if (!onto) return hold(null);
    hold(plug);
    onSocket(onto);
  };
  const onPort = (port: string, free: boolean) => {
    const run = doc.runs.find((r) => r.ports.includes(port));
    if (run) choose(run.cable);
    else if (free && chosen && chosen.cable.needs.length === 1)
      void act({ type: "plug in", cable: chosen.cable.key, ports: [port] });
    else if (free && chosen?.where === "bag") void act({ type: "plug in", cable: chosen.cable.key });
    else if (chosen && chosen.cable.needs.length > 1)
      say(
        `${chosen.cable.name} takes ${chosen.cable.needs.length} ports at once; put it back in the bag first, then into a port.`,
      );
  };

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
  return (
    <DndContext
      sensors={sensors}
      collisionDetection={pointerWithin}
      autoScroll={false}
      // The list of sockets makes room for what is in hand: where each stands is asked anew.
      measuring={{ droppable: { strategy: MeasuringStrategy.Always } }}
      accessibility={{ screenReaderInstructions: { draggable: "" } }}
      onDragStart={({ active }) => void step({ do: "pick", picked: plugOf(active.data.current) })}
      onDragCancel={() => hold(null)}
      onDragEnd={({ active, over }) => dropped(plugOf(active.data.current), over && String(over.id))}
    >
      <div
        className="flex h-full min-h-0 flex-col"
        onKeyDown={(e) => e.key === "Escape" && picked && hold(null)}
      >
        <StationHead
          title="Loom"
          note={`currents at ${words.states[runState] ?? runState}, in ${doc.supply.name}`}
        >
          <Button look="main" onClick={() => void mapIt({ what: "all" })}>
            Map it
          </Button>
          <Menu label="Map…">
            <MenuItem onSelect={() => void mapIt({ what: "rest" })}>
              The rest, beside what is plugged
            </MenuItem>
            <MenuItem onSelect={() => void mapIt({ what: "least" })}>
              With as little change as may be
            </MenuItem>
            {devices.map((p) => (
              <MenuItem key={p.key} onSelect={() => void mapIt({ what: "part", part: p.key })}>
                Only {p.name}
              </MenuItem>
            ))}
          </Menu>
          <Button onClick={() => setAdding(true)}>Add a cable or adapter</Button>
        </StationHead>
        {adding && <AddLoose onClose={() => setAdding(false)} />}
        <div className="flex min-h-0 flex-1 gap-4 px-6 pb-3 max-[700px]:flex-col max-[700px]:overflow-auto max-[700px]:px-3">
          <div className="flex min-h-0 min-w-0 flex-1 flex-col gap-2 max-[700px]:flex-none">
            <div className="grid min-h-[150px] max-h-[196px] shrink-0 grid-cols-[minmax(0,auto)_minmax(320px,1fr)] gap-3 max-[700px]:max-h-none max-[700px]:grid-cols-1">
              <Panel supply={doc.supply} runs={doc.runs} chosen={chosen?.lane?.ports ?? []} onPort={onPort} />
              <WhyPanel drawn={chosen} />
            </div>
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
                      change={moved?.get(d.cable.key) ?? ""}
                      firstInBag={d.where === "bag" && lanes[i - 1]?.where !== "bag"}
                      picked={picked}
                      offers={offers}
                      onChoose={() => choose(d.cable.key)}
                      onPlug={(plug) => onPlug(d.cable.key, plug)}
                    />
                  ))}
                  <Betweens
                    things={result.betweens}
                    picked={picked}
                    offers={offers}
                    onPlug={onPlug}
                    onLead={onSocket}
                  />
                </ul>
              </div>
            </div>
          </div>
          <aside
            aria-label="Sockets"
            className={`flex min-h-0 shrink-0 flex-col border border-rule bg-slip max-[700px]:w-full ${open ? "w-[372px] max-[1100px]:w-[320px]" : "w-[272px] max-[1100px]:w-[248px]"}`}
          >
            {open ? (
              <MapPanel onClose={() => setMapping(false)} onAgain={(wish) => void mapIt(wish)} />
            ) : picked?.kind === "socket" ? (
              <OffersList
                ref_={picked.ref}
                offers={offers}
                onPut={(offer) => void step({ do: "put", offer })}
                onPark={park}
                onBack={() => {
                  setFocus(picked.ref);
                  hold(null);
                }}
              />
            ) : (
              <SocketList
                picked={picked}
                offers={offers}
                focus={focus}
                onSocket={onSocket}
                swap={swap}
                onSwap={setSwap}
                onPark={park}
                onBack={() => hold(null)}
              />
            )}
          </aside>
        </div>
      </div>
    </DndContext>
  );
}

/** The plug that is dragged. */
function plugOf(data: Record<string, unknown> | undefined): Picked {
  return { kind: "plug", cable: String(data?.cable), plug: String(data?.plug) };
}
