/** What the framework makes of a route and its parameters, for parts tested without it. */
export const resolve = (route: string, at: Readonly<Record<string, string>> = {}): string =>
  route.replace(/\[(\w+)\]/g, (_, name: string) => at[name] ?? '');
