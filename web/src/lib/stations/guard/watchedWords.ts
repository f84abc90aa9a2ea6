import { restart, undervoltage } from '$lib/ui/options';

const options = { restart, undervoltage };

/** What is proposed or decided of a watch, in the words of its field. */
export function watchedWords(id: string, value: string): string {
  const of = id === 'restart' || id === 'undervoltage' ? options[id] : [];
  return of.find(([option]) => option === value)?.[1] ?? value;
}
