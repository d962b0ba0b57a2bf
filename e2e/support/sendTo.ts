/** Asks the server as another page would; what it refuses ends the test with its words. */
export async function sendTo<T>(address: string, method: string, path: string, body?: object): Promise<T> {
  const sent = await fetch(`${address}/api/${path}`, {
    method,
    ...(body ? { headers: { 'content-type': 'application/json' }, body: JSON.stringify(body) } : {}),
  });
  if (!sent.ok) throw new Error(`${path}: ${await sent.text()}`);
  return (await sent.json()) as T;
}
