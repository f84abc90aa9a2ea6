import { openApi } from '$lib/server/http/openapi';

interface Operation {
  readonly parameters?: readonly { readonly name: string; readonly in: string; readonly description?: string }[];
  readonly requestBody?: { readonly content?: object };
  readonly responses: Readonly<Record<string, { readonly description: string }>>;
}
const methods = ['get', 'post', 'patch', 'delete'] as const;

/** The HTTP face as a page shows it: path, what it takes, what it answers. */
export const load = () => ({
  version: openApi.info.version,
  operations: Object.entries(openApi.paths).flatMap(([path, of]: [string, object]) => {
    const shared: NonNullable<Operation['parameters']> = Reflect.get(of, 'parameters') ?? [];
    return methods.flatMap((method) => {
      const op: Operation | undefined = Reflect.get(of, method);
      if (!op) return [];
      const takes = [...shared, ...(op.parameters ?? [])].map((p) => ({
        name: p.name,
        where: p.in,
        text: p.description ?? '',
      }));
      const bodies = Object.keys(op.requestBody?.content ?? {});
      const answers = Object.entries(op.responses).map(([status, { description }]) => ({ status, description }));
      return [{ path, method: method.toUpperCase(), takes, bodies, answers }];
    });
  }),
});
