import { Link, useNavigate } from "react-router";

import type { BuildCard } from "../../api/client";
import { day, time } from "../../state/clock";
import { amount, percent } from "../../state/format";
import { Button } from "../../ui/button";
import { TallyMarks } from "../../ui/marks";
import { Menu, MenuItem } from "../../ui/menu";
import type { Asked } from "./Naming";

interface Shown {
  build: BuildCard;
  /** Whether it stands under the build that it began as, and what that is called. */
  under: boolean;
  began: string;
  /** Whether Tab stops at it. */
  active: boolean;
  onActive: () => void;
  onAsk: (asked: Asked) => void;
  onRemove: () => void;
}

/** One build with its strip in small. What is out of sight is not laid out. */
export function Card(shown: Shown) {
  const { build, under, began, active, onActive } = shown;
  const { strip, overall } = build;
  if (strip === null || overall === null) return <Unreadable {...shown} />;
  return (
    <li
      data-build={build.key}
      onFocus={onActive}
      className={`border border-rule bg-slip [contain-intrinsic-size:auto_120px] [content-visibility:auto] ${under ? "ml-8 max-[700px]:ml-3" : ""}`}
    >
      <div className="flex flex-wrap items-baseline justify-between gap-x-4 px-5 pt-3 pb-2">
        <div className="min-w-0">
          <Link
            data-open
            tabIndex={active ? 0 : -1}
            to={`/b/${build.key}/parts`}
            className="text-title font-bold underline-offset-4 hover:underline"
          >
            {build.name}
          </Link>
          <p className="text-ink-soft">
            {build.note && `${build.note} `}
            <span className="text-sm">
              {build.began_as && `A variant of ${began || "a build that was removed"}. `}
              Changed {day(build.changed_at)}, {time(build.changed_at)}.
            </span>
          </p>
        </div>
        <Keep {...shown} save="Save file" />
      </div>
      <InSmall strip={strip} overall={overall.text} />
    </li>
  );
}

/** A build whose rows can't be read back: it says so, and what is there is not lost. */
function Unreadable(shown: Shown) {
  const { build, onActive } = shown;
  return (
    <li data-unreadable data-build={build.key} onFocus={onActive} className="border-2 border-over bg-slip">
      <div className="flex flex-wrap items-baseline justify-between gap-x-4 px-5 py-4">
        <div className="min-w-0">
          <h3 className="text-title font-bold">{build.name}</h3>
          <p className="font-semibold text-over">This build can’t be read.</p>
          <p className="text-ink-soft">{build.problem}</p>
        </div>
        <Keep {...shown} save="Save what is there" />
      </div>
    </li>
  );
}

function Keep({ build, active, save, onAsk, onRemove }: Shown & { save: string }) {
  const navigate = useNavigate();
  const stop = active ? 0 : -1;
  const unreadable = build.strip === null;
  return (
    <div className="flex items-start gap-1">
      {unreadable ? (
        <a
          data-open
          tabIndex={stop}
          href={`/api/v1/builds/${build.key}/file`}
          download
          className="inline-flex min-h-8 items-center rounded-[3px] px-3 font-semibold whitespace-nowrap hover:bg-accent-wash"
        >
          {save}
          <span className="sr-only"> of {build.name}</span>
        </a>
      ) : (
        <Menu
          label={
            <>
              Do…<span className="sr-only"> with {build.name}</span>
            </>
          }
          stop={stop}
        >
          <MenuItem onSelect={() => onAsk({ what: "variant", build })}>Make a variant of it…</MenuItem>
          <MenuItem
            onSelect={() =>
              void navigate(`/compare?of=${[build.began_as, build.key].filter(Boolean).join(",")}`)
            }
          >
            Put it beside another…
          </MenuItem>
          <MenuItem onSelect={() => onAsk({ what: "copy", build })}>Copy it…</MenuItem>
          <MenuItem onSelect={() => onAsk({ what: "rename", build })}>Rename it…</MenuItem>
          <MenuItem onSelect={() => onAsk({ what: "group", build })}>Put it into a group…</MenuItem>
          <MenuItem onSelect={() => window.location.assign(`/api/v1/builds/${build.key}/file`)}>
            {save}
          </MenuItem>
        </Menu>
      )}
      <Button look="quiet" tabIndex={stop} onClick={onRemove}>
        Throw away
        <span className="sr-only"> {build.name}</span>
      </Button>
    </div>
  );
}

function InSmall({ strip: s, overall }: { strip: NonNullable<BuildCard["strip"]>; overall: string }) {
  const toMend = Object.values(s.mend).reduce((a, b) => a + b, 0);
  return (
    <dl className="on-dark flex flex-wrap gap-x-8 gap-y-2 bg-strip px-5 py-2 text-strip-ink">
      <Small label="To mend" alert={toMend > 0}>
        {toMend || "nothing"}
      </Small>
      <Small label="Everyday">{amount(s.watts.everyday)} W</Small>
      <Small label="Full">{amount(s.watts.full)} W</Small>
      <Small label="Supply">
        {s.supply ? `${s.supply}, ${percent(s.supply_percent)} at full` : "none yet"}
      </Small>
      <Small label="Sockets fed">
        {s.sockets_fed} of {s.sockets_needed} <TallyMarks count={s.sockets_fed} />
      </Small>
      <Small label="As a whole">{overall}</Small>
    </dl>
  );
}

function Small({
  label,
  children,
  alert = false,
}: {
  label: string;
  children: React.ReactNode;
  alert?: boolean;
}) {
  return (
    <div>
      <dt className="text-xs text-strip-soft">{label}</dt>
      <dd className={`flex items-center gap-2 text-md font-semibold ${alert ? "text-strip-alert" : ""}`}>
        {children}
      </dd>
    </div>
  );
}
