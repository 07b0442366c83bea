import { useWrite } from "../../state/build/contexts";
import { Button } from "../../ui/button";
import { Menu, MenuItem } from "../../ui/menu";

/** Another of the same make in the place of a thing, or of one of several alike: its figures stay, and
 * what was done to the old one was not done to it. */
export function Exchange({
  of,
  thing = null,
  name,
  count = 1,
}: {
  of: "part" | "cable" | "supply";
  thing?: string | null;
  name: string;
  count?: number;
}) {
  const { act, say } = useWrite();
  const exchange = async (instance: number | null) => {
    const made = await act({ type: "exchange", of, key: thing, instance });
    if (made) say(`${name} is another one now. At the Bench the old one comes out and the new one goes in.`);
  };
  if (count === 1)
    return (
      <Button look="quiet" title="For another of the same make" onClick={() => void exchange(null)}>
        Exchange it
      </Button>
    );
  return (
    <Menu label="Exchange one" align="start">
      {Array.from({ length: count }, (_, i) => (
        <MenuItem key={i} onSelect={() => void exchange(i + 1)}>
          {name} {i + 1}
        </MenuItem>
      ))}
    </Menu>
  );
}
