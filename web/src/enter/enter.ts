import './enter.css';

/** Lets this device in: the key as scanned or typed, and whose device it is. Stands alone: nothing else is open yet. */
const form = document.querySelector('form')!;
const field = (name: string) => form.elements.namedItem(name) as HTMLInputElement;
const said = document.querySelector('#said')!;

// What stands behind # came with the scanned code; it is taken out of the address at once.
field('key').value = decodeURIComponent(location.hash.slice(1));
const to = inside(new URLSearchParams(location.search).get('to'));
history.replaceState(null, '', location.pathname);
void letInAlready();
(field('key').value ? field('name') : field('key')).focus();

/** Where the link led that ended here: an address of this workshop, never one elsewhere. */
function inside(address: string | null): string {
  const url = new URL(address ?? '/', location.origin);
  return url.origin === location.origin && url.pathname !== location.pathname ? url.pathname + url.search : '/';
}

/** A browser keeps its cookie from a page that a link elsewhere led to: asked from here, it may be in already. */
async function letInAlready(): Promise<void> {
  const door = await fetch('/api/door').catch(() => undefined);
  if (door?.ok) location.replace(to);
}

async function enter(): Promise<void> {
  const sent = Object.fromEntries(new FormData(form).entries());
  try {
    const response = await fetch('/api/door/enter', {
      method: 'POST',
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify(sent),
    });
    if (response.ok) return location.replace(to);
    const problem = (await response.json()) as { title: string; fields?: { field: string; message: string }[] };
    const [first] = problem.fields ?? [];
    said.textContent = first?.message ?? problem.title;
    if (first) field(first.field)?.focus();
  } catch {
    said.textContent = 'The workshop does not answer. What you typed stays here; try again.';
  }
}
form.addEventListener('submit', (event) => {
  event.preventDefault();
  void enter();
});
