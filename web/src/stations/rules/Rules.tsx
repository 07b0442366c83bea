import { useQuery, useQueryClient } from "@tanstack/react-query";
import { useEffect, useRef } from "react";

import { client, reason, take, type Doc } from "../../api/client";
import { useBuild, useResult, useWrite } from "../../state/build/contexts";
import {
  buildQuery,
  feedsQuery,
  houseRulesKey,
  houseRulesQuery,
  positionsQuery,
  referenceQuery,
  wordsQuery,
} from "../../state/queries";
import { Button } from "../../ui/button";
import { NumberField } from "../../ui/fields";
import { Radio, RadioGroup } from "../../ui/radio";
import { usePlace } from "../frame/Frame";
import { StationHead } from "../frame/Head";
import { OwnWords } from "../../ui/ownwords";
import { Assumptions } from "./Assumptions";
import { Schools } from "./Schools";

type Rules = Doc["house_rules"];
type Rule = Exclude<keyof Rules, "headroom">;

/** As many of them stand on the left: both columns then come to about the same length. */
const LEFT = 8;

/** The words that somebody taught the line; nothing where there are none. */
function LearnedWords() {
  const { data } = useQuery(wordsQuery);
  if (!data?.words.length) return null;
  return (
    <section className="mt-2">
      <h2 className="mb-1 text-lg font-bold">Your own words</h2>
      <OwnWords unknown={[]} own={data.words} />
    </section>
  );
}

/** Where good builders disagree, and what is assumed where a figure is missing. */
export default function RulesPage() {
  const build = useBuild();
  const { result } = useResult();
  const { act, preview } = useWrite();
  const { data: reference } = useQuery(referenceQuery);
  const rules = build.doc.house_rules;
  const edit = (house_rules: Partial<Rules>) =>
    ({ type: "change build", changes: {}, house_rules, assumptions: {} }) as const;
  const { data: effects } = useQuery(positionsQuery(build.key, build.version));
  const mapped = (reference?.house_rules ?? []).filter((r) => r.maps).flatMap((r) => r.positions);
  const feeds = useRuleFeeds(build.key, build.version, mapped.length);
  const questions = (reference?.house_rules ?? []).map(({ rule, words, positions }) => ({
    rule: rule as Rule,
    words,
    options: positions.map((o) => ({
      ...o,
      effect: [
        effects?.find((e) => e.rule === rule && e.value === o.value)?.text ?? "",
        mapBy(feeds, rule, o.value, `${rules[rule as Rule]}`),
      ]
        .filter(Boolean)
        .join(" "),
    })),
  }));
  const place = usePlace();
  const headroom = useRef<HTMLElement>(null);
  useEffect(() => {
    if (place === "headroom") headroom.current?.querySelector("input")?.focus();
  }, [place]);
  const worst = result.lanes.filter((l) => l.verdict === "over" || l.verdict === "unknown").length;
  return (
    <>
      <StationHead
        title="House rules"
        note={`for this build, ${worst ? `${worst} of its runs to mend` : "no run to mend"}`}
      />
      <div className="grid max-w-[1180px] grid-cols-[minmax(0,1fr)] gap-6 px-6 pb-8 max-[700px]:px-3">
        <ForAll rules={rules} />
        <Schools />
        {/* Two columns that stay what they are: nothing moves to the other when a sentence comes in. */}
        <div className="grid grid-cols-2 items-start gap-x-6 max-[900px]:grid-cols-1">
          {[questions.slice(0, LEFT), questions.slice(LEFT)].map((own, column) => (
            <div key={column}>
              {own.map(({ rule, words, options }) => (
                <Question
                  key={rule}
                  rule={rule}
                  legend={words}
                  options={options}
                  value={rules[rule]}
                  onChange={(v) => void act(edit({ [rule]: v }))}
                />
              ))}
              {column === 1 && (
                <section ref={headroom}>
                  <h2 className="mb-2 text-lg font-bold">Headroom</h2>
                  <NumberField
                    label="Headroom over the sustained load"
                    unit="%"
                    value={Math.round(rules.headroom * 1000) / 10}
                    onPreview={(v) => v !== null && preview(edit({ headroom: v / 100 }))}
                    onCommit={(v) => act(edit({ headroom: (v ?? 0) / 100 }))}
                  />
                </section>
              )}
            </div>
          ))}
        </div>
        <LearnedWords />
        <Assumptions />
      </div>
    </>
  );
}

/** What a map comes to by a position; of one that changes nothing that it is the same. */
function mapBy(feeds: Map<string, string>, rule: string, position: string, now: string): string {
  const text = feeds.get(`rule:${rule}:${position}`) ?? "";
  const same = position !== now && text === feeds.get(`rule:${rule}:${now}`);
  return text && same ? "The same map." : text;
}

/** What a map comes to by each position that decides one, of so many: in words, once known. */
function useRuleFeeds(key: string, version: number, most: number) {
  const queries = useQueryClient();
  useEffect(() => {
    void take(client.POST("/api/v1/builds/{key}/rule-feeds", { params: { path: { key } } }))
      .then(() => queries.invalidateQueries({ queryKey: feedsQuery(key, version).queryKey }))
      .catch(() => undefined); // the positions then say nothing of it
  }, [key, version, queries]);
  const looks = useRef(0);
  const { data = [] } = useQuery({
    ...feedsQuery(key, version),
    refetchInterval: (query) => {
      const known = (query.state.data ?? []).filter((f) => f.slug.startsWith("rule:")).length;
      return known < most && (looks.current += 1) < 60 ? 500 : false;
    },
  });
  return new Map(data.map((f) => [f.slug, f.text]));
}

/** The rules of new builds, held against those of this one. */
function ForAll({ rules }: { rules: Rules }) {
  const { key } = useBuild();
  const { say } = useWrite();
  const queries = useQueryClient();
  const { data } = useQuery(houseRulesQuery);
  // Before they are known it takes its room: what stands below does not move under a hand.
  const known = data?.house_rules ?? rules;
  const differ = (Object.keys(rules) as (keyof Rules)[]).filter((r) => rules[r] !== known[r]);
  const put = (everywhere: boolean | string[]) =>
    take(client.PUT("/api/v1/house-rules", { body: { house_rules: rules, everywhere } }));
  const set = async (everywhere: boolean) => {
    try {
      let done = await put(everywhere);
      let changed = done.changed;
      // Many builds are gone through some at a time.
      while (done.left.length > 0) {
        say(`${changed} changed, ${done.left.length} left.`);
        done = await put(done.left);
        changed += done.changed;
      }
      queries.setQueryData(houseRulesKey, done);
      if (everywhere) await queries.invalidateQueries({ queryKey: buildQuery(key).queryKey });
      say(
        everywhere
          ? `New builds start with these rules; ${changed} of those that are there changed, to be undone in each.`
          : "New builds start with these rules.",
      );
    } catch (error) {
      say(reason(error));
    }
  };
  return (
    <section
      aria-label="Rules of other builds"
      className="flex flex-wrap items-center gap-x-4 gap-y-2 border-b border-rule pb-3"
    >
      <p className="min-w-56 flex-1 text-base">
        {!data
          ? "\u00a0"
          : differ.length === 0
            ? "New builds start with the same rules as this one."
            : `New builds start with other rules: ${differ.length} of ${Object.keys(rules).length} differ.`}
      </p>
      {differ.length > 0 && <Button onClick={() => void set(false)}>Start new builds with these</Button>}
      <Button onClick={() => void set(true)}>Set these in every build</Button>
    </section>
  );
}

function Question({
  rule,
  legend,
  options,
  value,
  onChange,
}: {
  rule: string;
  legend: string;
  options: { value: string; words: string; text: string; effect: string }[];
  value: string;
  onChange: (v: string) => void;
}) {
  const box = useRef<HTMLElement>(null);
  const place = usePlace();
  useEffect(() => {
    if (place !== rule) return;
    box.current?.scrollIntoView({ block: "center" });
    box.current?.querySelector<HTMLElement>("[role=radio][data-state=checked]")?.focus();
  }, [place, rule]);
  return (
    <section ref={box} className="mb-5">
      <h2 className="mb-2 text-lg font-bold">{legend}</h2>
      <RadioGroup label={legend} value={value} onChange={onChange}>
        {options.map((o) => (
          <Radio
            key={o.value}
            value={o.value}
            className="group mb-1.5 flex w-full gap-3 border border-rule bg-slip px-3 py-2 text-left hover:border-ink data-[state=checked]:border-accent data-[state=checked]:bg-accent-wash"
          >
            <span
              aria-hidden="true"
              className="mt-1 size-4 shrink-0 rounded-full border border-ink group-data-[state=checked]:border-[5px] group-data-[state=checked]:border-accent"
            />
            <span className="min-w-0">
              <b>{o.words}</b>
              <span className="block text-sm text-ink-soft">{o.text}</span>
              <span className="block min-h-5 text-sm [overflow-wrap:anywhere]">{o.effect}</span>
            </span>
          </Radio>
        ))}
      </RadioGroup>
    </section>
  );
}
