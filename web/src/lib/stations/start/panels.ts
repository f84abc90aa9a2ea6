/** A line of a panel. `faint` stands back, `load` is the driven machine's. */
export interface PanelSeries {
  readonly name: string;
  readonly points: readonly (readonly [number, number])[];
  readonly role: 'main' | 'second' | 'load' | 'faint';
  /** Where its name stands: at its end, over it at a share of its length, or nowhere. */
  readonly nameAt?: number | 'end' | 'nowhere';
}

/** One of several charts over the same axis. */
export interface Panel {
  readonly y: string;
  readonly series: readonly PanelSeries[];
  /** Share of the height. */
  readonly weight: number;
  /** Drawn as a region above or below a value, with its name. */
  readonly limit?: { readonly value: number; readonly name: string; readonly side: 'above' | 'below' };
  readonly max?: number;
  readonly min?: number | 'auto';
}

/** A setting that can be taken hold of: a line across a panel, moved along one axis by pointer or by the arrow keys. */
export interface Handle {
  readonly panel: number;
  readonly axis: 'x' | 'y';
  readonly value: number;
  readonly min: number;
  readonly max: number;
  readonly step: number;
  readonly label: string;
  readonly text: (value: number) => string;
  /** While it is held: at most once a frame. */
  readonly move: (value: number) => void;
  /** When it is let go, or moved by a key. */
  readonly put: (value: number) => void;
}

/** Something that happened: a thin line over all panels, its word below them. */
export interface Mark {
  readonly x: number;
  readonly text: string;
}
