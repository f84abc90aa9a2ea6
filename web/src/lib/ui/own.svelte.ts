/** What stands grey in an empty field: an example is said to be one, words stand as they are. */
export const exampleText = <T extends string | undefined>(text: T): string | T =>
  text !== undefined && /^[\d.]+( \S+)?$/.test(text) ? `e.g. ${text}` : text;

/**
 * A person's own text in a field: it stands while it still means what the case holds ("0.90" is not turned into "0.9",
 * "460" not into "460 V" under the cursor); what others write to the case shows as soon as it differs.
 */
export class OwnText<T> {
  #typed = $state('');
  readonly #meaning: (typed: string) => T;
  readonly #held: () => unknown;

  constructor(meaning: (typed: string) => T, held: () => unknown) {
    this.#meaning = meaning;
    this.#held = held;
  }

  get shown(): string {
    const held = this.#held();
    return this.#typed !== '' && this.#meaning(this.#typed) === held ? this.#typed : String(held ?? '');
  }

  /** Keeps what was typed and gives what the case is to hold of it; nothing where the field was emptied. */
  type(typed: string): T | undefined {
    this.#typed = typed;
    return typed === '' ? undefined : this.#meaning(typed);
  }
}
