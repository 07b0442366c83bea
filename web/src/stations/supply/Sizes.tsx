import { useQuery } from "@tanstack/react-query";

import { useBuild, useResult } from "../../state/build/contexts";
import { sentence, watts } from "../../state/format";
import { sizesQuery } from "../../state/queries";

const AT: Record<string, string> = { below: "a size down", needed: "the size", above: "a size up" };

/** The size that is needed between the next smaller and larger: what each would cost in checks. */
export function Sizes() {
  const build = useBuild();
  const { sizing } = useResult().result;
  const { data } = useQuery(sizesQuery(build.key, build.version));
  if (!data?.sizes.length) return null;
  const governs = sizing.rules.find((r) => r.governs);
  return (
    <details className="mt-1 border-y border-rule py-2 text-base">
      <summary className="cursor-pointer">
        <b>{sizing.pick_w} W is the size</b>{" "}
        <span className="text-ink-soft">
          {governs?.words ?? "the rules"} asks for {watts(sizing.needed?.likely ?? 0)} W; what a size down and
          a size up would cost
        </span>
      </summary>
      <dl className="mt-1 grid gap-1">
        {data.sizes.map((s) => (
          <div key={s.rated_w} data-size={s.at} className="grid grid-cols-[150px_minmax(0,1fr)] gap-2">
            <dt className={s.at === "needed" ? "font-bold" : ""}>
              {s.rated_w} W, {AT[s.at]}
            </dt>
            <dd className={s.text.startsWith("too small") ? "font-semibold text-over" : ""}>
              {sentence(s.text)}
            </dd>
          </div>
        ))}
        {data.added.length > 0 && (
          <div className="grid grid-cols-[150px_minmax(0,1fr)] gap-2">
            <dt>The raised limit adds</dt>
            <dd>{data.added.map((x) => `${watts(x.watts)} W to ${x.words}`).join(", ")}.</dd>
          </div>
        )}
      </dl>
    </details>
  );
}
