/** Where the service worker keeps what was answered of builds. */
export const ANSWERS = "easy-tally answers";

/** A build has changed: what was answered of it before is not shown beside what is new, should the
 * connection go. Nothing where the browser keeps nothing. */
export async function forgetAnswers(key: string) {
  if (!("caches" in globalThis)) return;
  const kept = await caches.open(ANSWERS);
  const own = `/api/v1/builds/${key}`;
  const older = (await kept.keys()).filter(({ url }) => new URL(url).pathname.startsWith(own));
  await Promise.all(older.map((request) => kept.delete(request)));
}
