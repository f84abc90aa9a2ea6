import { expect, test, type Page } from '@playwright/test';

/**
 * Counts what a person does on a page: fields given, characters typed, keys and clicks; and how long that takes by the
 * keystroke-level model (S. K. Card, T. P. Moran, A. Newell, Communications of the ACM 23, 1980, table 1; from memory):
 * 0.28 s a key for an average typist, 1.1 s to point, 0.1 s to press, 0.4 s to move the hand, 1.35 s to make up one's
 * mind before each field and each click. Answers of the page are immediate (benchmarks) and count nothing.
 */
export async function counted(page: Page): Promise<() => Promise<Effort>> {
  await page.addInitScript(() => {
    const kept = sessionStorage.getItem('effort');
    const effort: { fields: number; characters: number; keys: number; clicks: number; picks: number } =
      kept === null ? { fields: 0, characters: 0, keys: 0, clicks: 0, picks: 0 } : JSON.parse(kept);
    const keep = (): void => sessionStorage.setItem('effort', JSON.stringify(effort));
    let last: EventTarget | null = null;
    const field = (target: Element): void => {
      if (target !== last) effort.fields++;
      last = target;
    };
    const lengths = new WeakMap<EventTarget, number>();
    addEventListener(
      'input',
      ({ target }) => {
        if (!(target instanceof HTMLInputElement || target instanceof HTMLTextAreaElement)) return;
        if (target.type === 'checkbox' || target.type === 'radio') return;
        field(target);
        // A field that is filled at once counts as typed whole; a text that is pasted, as one key.
        const pasted = target instanceof HTMLTextAreaElement;
        effort.characters += pasted ? 2 : Math.max(1, target.value.length - (lengths.get(target) ?? 0));
        lengths.set(target, target.value.length);
        keep();
      },
      true,
    );
    addEventListener(
      'change',
      ({ target }) => {
        if (!(target instanceof HTMLSelectElement)) return;
        field(target);
        effort.picks++;
        keep();
      },
      true,
    );
    addEventListener('click', (e) => void (e.isTrusted && (effort.clicks++, keep())), true);
    addEventListener(
      'keydown',
      (e) => void ((e.ctrlKey || e.altKey || e.key.length > 1) && (effort.keys++, keep())),
      true,
    );
  });
  return async () => {
    const { fields, characters, keys, clicks, picks } = await page.evaluate(
      (): { fields: number; characters: number; keys: number; clicks: number; picks: number } =>
        JSON.parse(sessionStorage.getItem('effort') ?? '{"fields":0,"characters":0,"keys":0,"clicks":0,"picks":0}'),
    );
    // A key more for each field: to get there.
    const typing = 0.28 * (characters + keys + fields);
    const pointing = (1.1 + 0.1 + 0.4) * (clicks + 2 * picks);
    const seconds = typing + pointing + 1.35 * (fields + clicks);
    return { fields, characters, keys, clicks: clicks + picks, seconds: Math.round(seconds) };
  };
}

export interface Effort {
  readonly fields: number;
  readonly characters: number;
  readonly keys: number;
  readonly clicks: number;
  readonly seconds: number;
}

/** Notes what a journey took with the test, and holds it to a limit in seconds. */
export function within(effort: Effort, seconds: number): void {
  const { fields, characters, keys, clicks } = effort;
  const text =
    `${fields} fields, ${characters} characters, ${keys} keys, ${clicks} clicks: ` + `about ${effort.seconds} s`;
  test.info().annotations.push({ type: 'effort', description: text });
  console.log(`${test.info().title}: ${text}`);
  expect(effort.seconds, text).toBeLessThan(seconds);
}
