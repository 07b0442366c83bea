import type { Candidate } from "../../api/client";
import type { Filter } from "../../state/supply/filter";

/** Which of the candidates are shown. */
export function Filters({
  all,
  shown,
  filter,
  onFilter,
}: {
  all: Candidate[];
  shown: number;
  filter: Filter;
  onFilter: (f: Filter) => void;
}) {
  const forms = [...new Set(all.map((c) => c.supply.form).filter((f) => f !== null))];
  const sources = [...new Set(all.map((c) => c.source))];
  const set = (made: Partial<Filter>) => onFilter({ ...filter, ...made });
  return (
    <div
      role="group"
      aria-label="Which supplies are shown"
      className="flex flex-wrap items-center gap-x-3 gap-y-1"
    >
      <input
        type="search"
        aria-label="Search the supplies"
        placeholder="Search: name, family, 750, gold"
        className="field w-60 text-base"
        value={filter.text}
        onChange={(e) => set({ text: e.target.value })}
      />
      <label className="flex items-center gap-1.5">
        <input
          type="checkbox"
          className="size-4 accent-accent"
          checked={filter.does}
          onChange={(e) => set({ does: e.target.checked })}
        />
        only those that do
      </label>
      <select
        aria-label="Form"
        className="field text-base"
        value={filter.form}
        onChange={(e) => set({ form: e.target.value })}
      >
        <option value="">any form</option>
        {forms.map((f) => (
          <option key={f}>{f}</option>
        ))}
      </select>
      {sources.length > 1 && (
        <select
          aria-label="Whose"
          className="field text-base"
          value={filter.source}
          onChange={(e) => set({ source: e.target.value })}
        >
          <option value="">yours and the catalogue’s</option>
          {sources.map((s) => (
            <option key={s} value={s}>
              {s === "owned" ? "yours" : s}
            </option>
          ))}
        </select>
      )}
      <span className="text-sm text-ink-soft">
        {shown} of {all.length}
      </span>
    </div>
  );
}
