import { useQuery } from "@tanstack/react-query";
import { useState } from "react";

import type { BenchStep } from "../../api/client";
import { Face } from "../../drawing/Face";
import { Panel } from "../../drawing/Panel";
import { useBuild, useResult } from "../../state/build/contexts";
import { day, time } from "../../state/clock";
import { drawnLanes, rulerLength } from "../../state/loom/lanes";
import { referenceQuery } from "../../state/queries";
import { LaneRow } from "../loom/LaneRow";
import type { Entry } from "../../state/bench/queue";
import { Button } from "../../ui/button";
import { AddPhoto, Photos, type OnPhoto } from "./Photos";
import { Menu, MenuItem } from "../../ui/menu";
import { useVoice } from "./hands";

const FOUND: [Entry["kind"], string][] = [
  ["warm", "It was warm"],
  ["browned", "It is browned"],
  ["loose", "It is loose"],
];

/** Once, when the panel appears: the port that is meant is in sight, however narrow the page. */
function showChosen(panel: HTMLElement | null) {
  const port = panel?.querySelector("[data-chosen=true]");
  port?.scrollIntoView({ inline: "center", block: "nearest" });
}

/** A step aloud, for who has no hand and no eye free. */
function ReadAloud({ step: { step } }: { step: BenchStep }) {
  const looks = step.looks.map((l) => l.text);
  const voice = useVoice([step.title, step.caution, ...step.text, ...looks].filter(Boolean));
  return (
    voice && (
      <Button className="min-h-12" onClick={voice.turn}>
        {voice.reading ? "Stop reading" : "Read it aloud"}
      </Button>
    )
  );
}

/** One step in large type: what to do, what may hurt, what to look at, and its joint. */
export function StepCard({
  step: s,
  done,
  kept,
  stopped,
  seen,
  onLook,
  onAnswer,
  onFound,
  onNote,
  onPhoto,
  onPhotos,
  say,
}: {
  step: BenchStep;
  done: boolean;
  /** What was done of it is kept on this device, and not sent yet. */
  kept: boolean;
  stopped: string;
  /** What was looked at of it. */
  seen: string[];
  onLook: (id: string) => void;
  onAnswer: (id: string) => void;
  onFound: (kind: Entry["kind"]) => void;
  onNote: (text: string) => void;
  onPhoto: OnPhoto;
  /** One was thrown away, or brought back. */
  onPhotos: () => void;
  say: (text: string) => void;
}) {
  const { step } = s;
  return (
    <div
      tabIndex={0}
      role="group"
      aria-label={step.title}
      className="min-h-0 flex-1 overflow-auto px-5 py-4 max-[700px]:px-3"
    >
      <p className="text-base text-ink-soft">{s.group}</p>
      <h2 className="text-3xl leading-tight font-bold [overflow-wrap:anywhere] max-[700px]:text-2xl">
        {step.title}
      </h2>
      {done && (
        <p className="mt-1 text-base font-semibold text-within">
          Done{s.who && ` by ${s.who}`}
          {s.at && `, ${day(s.at)} ${time(s.at)}`}
          {kept && <span className="text-tight">; kept on this device, not sent yet</span>}
        </p>
      )}
      {step.caution && (
        <p className="mt-3 border-l-4 border-over py-1 pl-3 text-lg font-semibold">{step.caution}</p>
      )}
      {step.text.map((t) => (
        <p key={t} className="mt-2 text-lg leading-snug">
          {t}
        </p>
      ))}
      {step.joint && <JointDrawn step={s} />}
      {step.looks.length > 0 && (
        <ul className="mt-3">
          {step.looks.map((l) => (
            <li key={l.id}>
              <label className="flex min-h-12 cursor-pointer items-center gap-3 border-b border-rule py-1 text-lg leading-snug">
                <input
                  type="checkbox"
                  data-look={l.id}
                  className="size-6 shrink-0 accent-[var(--accent)]"
                  checked={done || seen.includes(l.id)}
                  disabled={done || Boolean(stopped)}
                  onChange={() => onLook(l.id)}
                />
                {l.text}
              </label>
            </li>
          ))}
        </ul>
      )}
      {!done && step.answers.length > 0 && (
        <div className="mt-4 grid gap-3" role="group" aria-label="Answers">
          {step.answers.map(({ id, words }) => (
            <Button
              key={id}
              className="min-h-14 justify-start px-5 text-left text-xl max-[700px]:whitespace-normal"
              disabled={Boolean(stopped)}
              onClick={() => onAnswer(id)}
            >
              {words}
            </Button>
          ))}
        </div>
      )}
      {step.note && <Note label={step.note} value={s.noted} onNote={onNote} />}
      <div className="mt-4 flex flex-wrap items-center gap-2">
        {step.joint && !stopped && (
          <Menu label="Warm, browned or loose?" align="start">
            {FOUND.map(([kind, words]) => (
              <MenuItem key={kind} onSelect={() => onFound(kind)}>
                {words}
              </MenuItem>
            ))}
          </Menu>
        )}
        {stopped === step.id && (
          <Button className="min-h-12 text-lg" onClick={() => onFound("looked at")}>
            Both were looked at and replaced
          </Button>
        )}
        {step.shows.map(({ words, places }) => (
          <AddPhoto key={words} step={step.id} of={words} places={places} onPhoto={onPhoto} say={say} />
        ))}
        {!step.answers.length && (
          <AddPhoto step={step.id} of="" places={step.places} onPhoto={onPhoto} say={say} />
        )}
        <ReadAloud step={s} />
      </div>
      <Photos step={s} onPhotos={onPhotos} say={say} />
    </div>
  );
}

/** The port on the panel, or the plug's face: where this joint is. */
function JointDrawn({ step: s }: { step: BenchStep }) {
  const { doc } = useBuild();
  const { result } = useResult();
  const { data: reference } = useQuery(referenceQuery);
  const joint = s.step.joint;
  if (!joint) return null;
  const lanes = drawnLanes(doc, result, reference);
  const drawn = lanes.find((d) => d.cable.key === joint.cable);
  const ports = doc.runs.find((r) => r.cable === joint.cable)?.ports ?? [];
  return (
    <div className="mt-3 flex flex-wrap items-center gap-4">
      {joint.face && (
        <figure className="grid justify-items-center gap-1">
          <Face kind={joint.face} size="large" />
          <figcaption className="text-sm text-ink-soft">
            its face{joint.latch ? ", latch below" : ""}
          </figcaption>
        </figure>
      )}
      {doc.supply && ports.length > 0 && (
        <div inert ref={showChosen} className="max-w-full overflow-x-auto">
          <Panel
            supply={doc.supply}
            runs={doc.runs}
            cables={doc.cables}
            chosen={ports}
            onPort={() => undefined}
          />
        </div>
      )}
      {drawn && (
        <ul inert className="basis-full overflow-x-auto">
          <LaneRow
            drawn={drawn}
            length={rulerLength(lanes)}
            chosen={false}
            change=""
            firstInBag={false}
            picked={null}
            offers={undefined}
            onChoose={() => undefined}
            onPlug={() => undefined}
          />
        </ul>
      )}
      {s.matings !== null && (
        <p className={`text-base ${s.matings >= 25 ? "font-bold text-tight" : "text-ink-soft"}`}>
          mated {s.matings} times of the 30 that its standard has
        </p>
      )}
    </div>
  );
}

function Note({ label, value, onNote }: { label: string; value: string; onNote: (text: string) => void }) {
  const [text, setText] = useState(value);
  return (
    <label className="mt-3 block text-base">
      {label}
      <input
        className="field mt-1 min-h-12 w-full text-lg"
        value={text}
        maxLength={1000}
        onChange={(e) => setText(e.target.value)}
        onBlur={() => text !== value && onNote(text)}
        onKeyDown={(e) => e.key === "Enter" && text !== value && onNote(text)}
      />
    </label>
  );
}
