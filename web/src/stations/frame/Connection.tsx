import { useBuild } from "../../state/build/contexts";
import { useConnection } from "../../state/build/news";
import { clock } from "../../state/format";
import { useHere } from "../../state/frame/here";

/** Whether what is shown is as the server has it: where it does not answer, since when. */
export function Connection() {
  const { key } = useBuild();
  const since = useConnection(key);
  const here = useHere();
  if (!since && here.allows !== "look") return null;
  return (
    <p
      role="status"
      className="border-b border-rule bg-slip px-6 py-1.5 text-base max-[700px]:px-3 print:hidden"
    >
      {since ? (
        <>
          <b>No connection.</b> What you see is as of {clock(since)}. Steps that you tick and photos are kept
          on this device and sent when it is back; nothing else can be changed meanwhile.
        </>
      ) : (
        "This device looks on: it shows all of this build and changes nothing."
      )}
    </p>
  );
}
