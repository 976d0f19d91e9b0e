/**
 * Keeps on this phone, and nowhere else, what a family ticked on its fetch list, which level they chose and which step they
 * were at. A guide is whole without it; where a browser keeps nothing, nothing is missing but that.
 */
interface Kept {
  /** When it was last changed, in milliseconds since 1970. */
  at: number;
  ticked: string[];
  levels: Record<string, string>;
  step: string;
}

const PREFIX = 'guide:';
const MOST_GUIDES = 20;
const MS_KEPT = 90 * 24 * 3600 * 1000;

const [, , token = ''] = window.location.pathname.split('/');
const place = `${PREFIX}${token}`;

function read(name: string): Kept | null {
  try {
    const kept = JSON.parse(window.localStorage.getItem(name) ?? 'null') as Partial<Kept> | null;
    if (typeof kept?.at !== 'number' || !Array.isArray(kept.ticked)) return null;
    return { at: kept.at, ticked: kept.ticked.map(String), levels: kept.levels ?? {}, step: String(kept.step ?? '') };
  } catch {
    return null;
  }
}

/** Old guides go, so that a phone does not fill up with them. */
function clearOld(): void {
  const names = Object.keys(window.localStorage).filter((name) => name.startsWith(PREFIX));
  const byAge = names.map((name) => ({ name, at: read(name)?.at ?? 0 })).sort((one, other) => other.at - one.at);
  byAge.forEach(({ name, at }, index) => {
    if (index >= MOST_GUIDES || at < Date.now() - MS_KEPT) window.localStorage.removeItem(name);
  });
}

const ticks = [...document.querySelectorAll<HTMLInputElement>('input[data-keep]')];
const levels = () => [...document.querySelectorAll<HTMLInputElement>('input[type="radio"][name^="level-"]')];
const stepNow = () => (/^#(step-\d+|reply)$/.test(window.location.hash) ? window.location.hash : '');

function keep(step: string): void {
  try {
    const kept: Kept = {
      at: Date.now(),
      ticked: ticks.filter(({ checked }) => checked).map(({ dataset }) => dataset.keep!),
      levels: Object.fromEntries(levels().flatMap(({ checked, name, value }) => (checked ? [[name, value]] : []))),
      step,
    };
    window.localStorage.setItem(place, JSON.stringify(kept));
  } catch {
    // A browser that keeps nothing: the guide works without.
  }
}

function bringBack(): string {
  const kept = read(place);
  if (!kept) return '';
  for (const tick of ticks) tick.checked = kept.ticked.includes(tick.dataset.keep!);
  for (const level of levels()) if (kept.levels[level.name] === level.value) level.checked = true;
  const goOn = document.querySelector<HTMLElement>('[data-go-on]');
  const link = goOn?.querySelector('a');
  if (goOn && link && kept.step && stepNow() === '' && document.querySelector(kept.step)) {
    link.setAttribute('href', kept.step);
    goOn.hidden = false;
  }
  return kept.step;
}

if (token) {
  let step = bringBack();
  document.addEventListener('change', () => keep(step));
  window.addEventListener('hashchange', () => {
    step = stepNow() || step;
    keep(step);
  });
  if (stepNow()) {
    step = stepNow();
    keep(step);
  }
  try {
    clearOld();
  } catch {
    // Nothing is kept here.
  }
}
