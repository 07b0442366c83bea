import { Link } from "react-router";

import { useBuild, useResult } from "../../state/build/contexts";
import { useWords } from "../../words";

/** What a map must not have when it is plugged. */
const BAD = ["over", "refused", "failed", "unfed"] as const;

/** What one has to know before the next step: what is not sent yet, what is not ready, what stops. */
export function Notices({
  stopped,
  pending,
  photos,
}: {
  stopped: string;
  /** Entries and photos that are kept on this device and not sent yet. */
  pending: number;
  photos: number;
}) {
  const build = useBuild();
  const { result } = useResult();
  const words = useWords();
  const bad = BAD.filter((k) => result.strip.mend[k]).map(
    (k) => `${result.strip.mend[k]} ${words.findings[k]}`,
  );
  return (
    <>
      {pending + photos > 0 && (
        <p
          role="status"
          className="mx-6 mb-2 border border-tight px-3 py-1 text-base text-tight max-[700px]:mx-3"
        >
          {kept(pending, photos)} kept on this device, and sent once the server answers.
        </p>
      )}
      {bad.length > 0 && (
        <p className="mx-6 mb-2 border-l-4 border-over py-1 pl-3 text-base max-[700px]:mx-3">
          <b className="text-over">Not ready to be plugged: {bad.join(", ")}.</b>{" "}
          <Link className="font-bold text-accent underline" to={`/b/${build.key}/loom`}>
            Mend the map
          </Link>{" "}
          first; what is done here is kept.
        </p>
      )}
      {stopped && (
        <p
          role="alert"
          className="mx-6 mb-2 border-2 border-over px-3 py-2 text-lg font-bold text-over max-[700px]:mx-3"
        >
          {stopped}
        </p>
      )}
    </>
  );
}

function kept(entries: number, photos: number): string {
  const said = [
    ...(entries ? [entries === 1 ? "1 entry" : `${entries} entries`] : []),
    ...(photos ? [photos === 1 ? "1 photo" : `${photos} photos`] : []),
  ];
  return `${said.join(" and ")} ${entries + photos === 1 ? "is" : "are"}`;
}
