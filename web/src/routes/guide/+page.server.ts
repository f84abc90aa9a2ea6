import { marked } from 'marked';
import text from '../../../../docs/guide.md?raw';

/** Pictures of the guide by their path in it. */
const pictures = import.meta.glob<string>('../../../../docs/screenshots/*.png', {
  query: '?url',
  import: 'default',
  eager: true,
});

export const load = async () => {
  const html = await marked.parse(text);
  const withPictures = html.replace(/src="(screenshots\/[\w-]+\.png)"/g, (whole, path: string) => {
    const url = pictures[`../../../../docs/${path}`];
    return url === undefined ? whole : `src="${url}" loading="lazy"`;
  });
  return { html: withPictures };
};
