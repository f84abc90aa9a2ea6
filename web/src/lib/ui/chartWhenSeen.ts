import type { init } from './echarts';

export type EChart = ReturnType<typeof init>;

/**
 * Makes a chart in a box when it is first seen, for its code comes no sooner; keeps it the box's size. Hands it over
 * with each new width of the
 * box, and gives what takes it down again.
 */
export function chartWhenSeen(
  box: HTMLElement,
  renderer: 'svg' | 'canvas',
  ready: (chart: EChart, width: number) => void,
): () => void {
  const seen = new IntersectionObserver((entries) => {
    if (!entries.some((e) => e.isIntersecting)) return;
    seen.disconnect();
    void import('./echarts').then(({ init }) => {
      const chart = init(box, null, { renderer });
      const sized = new ResizeObserver(() => {
        chart.resize();
        ready(chart, box.clientWidth);
      });
      sized.observe(box);
      stop = () => {
        sized.disconnect();
        chart.dispose();
      };
    });
  });
  let stop = (): void => seen.disconnect();
  seen.observe(box);
  return () => stop();
}
