import type { Action, Doc, Result } from "../api/client";

export type BuyItem = Result["to_buy"]["items"][number];
type ToBuy = Doc["cables"][number]["to_buy"];

const whole = new Intl.NumberFormat("en", { minimumFractionDigits: 2, maximumFractionDigits: 2 });

/** A price, in a currency where that is told. */
export const money = (amount: number, currency: string) => `${whole.format(amount)} ${currency}`.trimEnd();

/** The edit that says that a thing of the build is to be bought, at what price; or, null, that it is here. */
export function buyEdit(doc: Doc, { of, key }: Pick<BuyItem, "of" | "key">, to_buy: ToBuy): Action {
  const changes = { to_buy };
  switch (of) {
    case "supply":
      return { type: "change supply", changes, release: false };
    case "cable":
      return { type: "change cable", cable: key, changes, release: false };
    case "between":
      return { type: "change adapter", key, changes, release: false };
    case "bracket":
      return { type: "change build", changes: { bracket: doc.bracket && { ...doc.bracket, to_buy } } };
  }
}

/** What one in the catalogue costs for a build; null where nobody said so, or only in another currency. */
export function priceFor(
  prices: { currency: string; prices: Record<string, number> } | undefined,
  slug: string,
  currency: string,
): number | null {
  if (!prices || (currency && prices.currency && currency !== prices.currency)) return null;
  return prices.prices[slug] ?? null;
}
