/** What the address calls the supply in the build that no catalogue has. */
export const OWN = "in-build";
/** How many supplies are compared at once. */
export const MOST = 3;
