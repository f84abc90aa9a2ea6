/** Ways of starting a motor. */
export const methods = ['direct', 'star-delta', 'autotransformer', 'primary-reactor', 'soft-starter', 'drive'] as const;
export type Method = (typeof methods)[number];

export const methodNames: Readonly<Record<Method, string>> = {
  direct: 'Direct on line',
  'star-delta': 'Star-delta',
  autotransformer: 'Autotransformer',
  'primary-reactor': 'Primary reactor',
  'soft-starter': 'Soft starter',
  drive: 'Drive',
};

/** Methods compared unless the case pins one. */
export const comparedMethods = ['direct', 'star-delta', 'soft-starter', 'drive'] as const satisfies readonly Method[];
