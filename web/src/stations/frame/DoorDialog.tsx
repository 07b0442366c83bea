import { useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { useState } from "react";

import { client, reason, take, type Door } from "../../api/client";
import { useBuild } from "../../state/build/contexts";
import { clock } from "../../state/format";
import { ALLOWS, doorQuery } from "../../state/frame/here";
import { Button } from "../../ui/button";
import { Dialog } from "../../ui/dialog";
import { Choice } from "../../ui/fields";

type Allows = Door["code_allows"];
type Device = Door["devices"][number];
const HOURS = [1, 2, 4, 8, 12];
const CHOICES = (["bench", "look", "everything"] as const).map((value) => ({ value, words: ALLOWS[value] }));

/** Lets a phone or a tablet in, for this build and some hours: the network's door. */
export function DoorDialog({ onClose }: { onClose: () => void }) {
  const { data: door, error } = useQuery(doorQuery);
  return (
    <Dialog open onClose={onClose} title="Take it to the bench" wide={door?.is_open}>
      {error && <Wrong error={error} />}
      {door && (door.is_open ? <OpenDoor door={door} /> : <ShutDoor door={door} />)}
    </Dialog>
  );
}

function Wrong({ error }: { error: unknown }) {
  return (
    <p role="alert" className="font-semibold text-over">
      {reason(error)}
    </p>
  );
}

/** Changes the door, and holds what it is then. */
function useDoor<T>(send: (of: T) => Promise<Door>) {
  const queries = useQueryClient();
  return useMutation({
    mutationFn: send,
    onSuccess: (door) => queries.setQueryData(doorQuery.queryKey, door),
  });
}

/** What somebody else on the network could see. */
function Strangers({ isPrivate }: { isPrivate: boolean }) {
  return (
    <p className="text-md text-ink-soft">
      {isPrivate
        ? "What goes to and fro is encrypted: others on the network see that it does, not what."
        : "Not encrypted: somebody on the same network who listens could read this build and the code, and act as a device that is in. Open it on a network that you trust."}
    </p>
  );
}

function ShutDoor({ door }: { door: Door }) {
  const { key, doc } = useBuild();
  const [hours, setHours] = useState("4");
  const [address, setAddress] = useState(door.addresses[0] ?? "");
  const open = useDoor(() =>
    take(client.POST("/api/v1/door", { body: { build: key, hours: Number(hours), address } })),
  );
  if (!door.can_open)
    return (
      <p className="text-md">
        {door.addresses.length === 0
          ? "This machine is on no network that a phone could reach it by. Connect it, then open this again."
          : "This way of starting serves this machine alone; start it with make demo or easy-tally serve."}
      </p>
    );
  return (
    <form
      className="grid gap-4"
      onSubmit={(e) => {
        e.preventDefault();
        open.mutate(undefined);
      }}
    >
      <p className="text-md">
        A phone or a tablet on the same network gets {doc.name}, for some hours. Until then nothing listens
        but for this machine; afterwards nothing does again.
      </p>
      <div className="flex flex-wrap gap-4">
        <Choice
          label="Open for"
          value={hours}
          options={HOURS.filter((h) => h <= door.most_hours).map((h) => ({
            value: String(h),
            words: h === 1 ? "1 hour" : `${h} hours`,
          }))}
          onChange={setHours}
        />
        {door.addresses.length > 1 && (
          <Choice
            label="At this machine’s address"
            value={address}
            options={door.addresses.map((a) => ({ value: a, words: a }))}
            onChange={setAddress}
          />
        )}
      </div>
      <Strangers isPrivate={door.is_private} />
      {open.error && <Wrong error={open.error} />}
      <div>
        <Button look="main" type="submit" disabled={open.isPending}>
          Open the door
        </Button>
      </div>
    </form>
  );
}

function OpenDoor({ door }: { door: Door }) {
  const { key } = useBuild();
  const [allows, setAllows] = useState<Allows>(door.code_allows);
  const code = useDoor((may: Allows) => take(client.POST("/api/v1/door/code", { body: { allows: may } })));
  const close = useDoor(() => take(client.DELETE("/api/v1/door")));
  return (
    <div className="grid gap-4">
      <p className="text-md">
        Open for <b>{door.build_name}</b> until <b>{clock(door.closes_at)}</b>
        {door.build !== key && ", not for the build that is shown here"}.
        {door.is_gone && (
          <b className="text-over"> This machine no longer has the address {door.url}: open it again.</b>
        )}
      </p>
      <div className="grid grid-cols-[220px_minmax(0,1fr)] gap-6 max-[700px]:grid-cols-1">
        {door.code ? (
          <img
            src={`/api/v1/door/code.svg?of=${door.code}`}
            alt={`A code to be read by a phone: ${door.url}/in, ${door.code}`}
            width={220}
            height={220}
            className="border border-rule-strong bg-white"
          />
        ) : (
          <div className="grid h-[220px] place-items-center border border-dashed border-rule-strong p-4 text-center text-md text-ink-soft">
            No code is out. Each lets one device in, once.
          </div>
        )}
        <div className="grid content-start gap-3">
          {door.code && (
            <>
              <p className="text-md">Point the phone’s camera at it; or open there</p>
              <p className="font-mono text-lg font-bold">{door.url}</p>
              <p className="text-md">and type, until {clock(door.code_until)},</p>
              <p data-door="code" className="font-mono text-3xl leading-none font-bold tracking-widest">
                {door.code.slice(0, 3)} {door.code.slice(3)}
              </p>
              <p className="text-md">
                It lets one device in, for <b>{ALLOWS[door.code_allows]}</b>.
              </p>
            </>
          )}
          <div className="flex flex-wrap items-end gap-3">
            <Choice label="A device may" value={allows} options={CHOICES} onChange={setAllows} />
            <Button onClick={() => code.mutate(allows)} disabled={code.isPending}>
              {door.code ? "Another code" : "Make a code"}
            </Button>
          </div>
          {door.wrong > 0 && (
            <p className="font-semibold text-tight">
              {door.wrong === 1 ? "1 wrong code was" : `${door.wrong} wrong codes were`} tried.
            </p>
          )}
        </div>
      </div>
      <Devices devices={door.devices} />
      <Strangers isPrivate={door.is_private} />
      {(code.error || close.error) && <Wrong error={code.error ?? close.error} />}
      <div>
        <Button onClick={() => close.mutate(undefined)} disabled={close.isPending}>
          Close the door
        </Button>
      </div>
    </div>
  );
}

function Devices({ devices }: { devices: Device[] }) {
  const allow = useDoor(({ number, allows }: { number: number; allows: Allows }) =>
    take(client.PATCH("/api/v1/door/devices/{number}", { params: { path: { number } }, body: { allows } })),
  );
  const send = useDoor((number: number) =>
    take(client.DELETE("/api/v1/door/devices/{number}", { params: { path: { number } } })),
  );
  if (devices.length === 0) return <p className="text-md text-ink-soft">No device is in.</p>;
  return (
    <ul aria-label="Devices that are in" className="border-t border-rule">
      {devices.map((d) => (
        <li key={d.id} className="flex flex-wrap items-center gap-3 border-b border-rule py-2 text-md">
          <b className="min-w-28">{d.name}</b>
          <Choice
            hideLabel
            label={`${d.name} may`}
            value={d.allows}
            options={CHOICES}
            onChange={(allows) => allow.mutate({ number: d.id, allows })}
          />
          <span className="flex-1 text-ink-soft">here last at {clock(d.seen_at)}</span>
          <Button onClick={() => send.mutate(d.id)} aria-label={`Send ${d.name} away`}>
            Send it away
          </Button>
        </li>
      ))}
      {(allow.error || send.error) && <Wrong error={allow.error ?? send.error} />}
    </ul>
  );
}
