/** How a link looks that does what a button does: it leads to a page, or fetches a file. */
export const BUTTON_LINK =
  "inline-flex min-h-8 items-center rounded-[3px] border border-ink bg-slip px-3 font-semibold hover:bg-accent-wash print:hidden";
