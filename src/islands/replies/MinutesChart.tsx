import { useEffect, useState, type ComponentType } from 'react';
import { wholeMinutes } from '../../core/time/index.ts';
import type { Props as ChartProps } from 'react-apexcharts';

export interface TimedRow {
  readonly title: string;
  readonly planned: number;
  readonly real: number;
  readonly homes: number;
}

/** Planned minutes beside real ones. The chart is drawn once the page stands; the same figures are in a table below it. */
export function MinutesChart({ rows, styleNonce }: { rows: readonly TimedRow[]; styleNonce: string }) {
  const [Chart, setChart] = useState<ComponentType<ChartProps> | null>(null);
  useEffect(() => {
    void import('react-apexcharts').then((loaded) =>
      setChart(() => loaded.default as unknown as ComponentType<ChartProps>),
    );
  }, []);
  return (
    <figure className="minutes-chart">
      <div aria-hidden="true" style={{ minHeight: rows.length * 64 + 70 }}>
        {Chart && (
          <Chart
            type="bar"
            height={rows.length * 64 + 70}
            series={seriesOf(rows)}
            options={optionsFor(rows, styleNonce)}
          />
        )}
      </div>
      <figcaption>
        <table className="table text-sm">
          <thead>
            <tr>
              <th>Part</th>
              <th>Planned</th>
              <th>Took (median)</th>
              <th>Homes that timed it</th>
            </tr>
          </thead>
          <tbody>
            {rows.map(({ title, planned, real, homes }) => (
              <tr key={title}>
                <td>{title}</td>
                <td>{wholeMinutes(planned)} min</td>
                <td>{wholeMinutes(real)} min</td>
                <td>{homes}</td>
              </tr>
            ))}
          </tbody>
        </table>
      </figcaption>
    </figure>
  );
}

function seriesOf(rows: readonly TimedRow[]): ChartProps['series'] {
  return [
    { name: 'planned', data: rows.map(({ planned }) => planned) },
    { name: 'real', data: rows.map(({ real }) => real) },
  ];
}

function optionsFor(rows: readonly TimedRow[], styleNonce: string): ChartProps['options'] {
  const colour = (name: string) => getComputedStyle(document.documentElement).getPropertyValue(name).trim();
  return {
    chart: {
      nonce: styleNonce,
      toolbar: { show: false },
      animations: { enabled: false },
      fontFamily: 'inherit',
      foreColor: colour('--color-ink'),
    },
    colors: [colour('--color-marigold'), colour('--color-teal')],
    fill: { type: ['pattern', 'solid'], pattern: { style: 'verticalLines', width: 4, height: 4, strokeWidth: 2 } },
    plotOptions: { bar: { horizontal: true, barHeight: '70%', dataLabels: { position: 'top' } } },
    dataLabels: {
      enabled: true,
      formatter: (minutes) => wholeMinutes(Number(minutes)),
      offsetX: 24,
      style: { colors: [colour('--color-ink')], fontSize: '13px' },
    },
    stroke: { width: 1, colors: [colour('--color-ink')] },
    xaxis: {
      max: Math.ceil(Math.max(...rows.flatMap(({ planned, real }) => [planned, real])) + 2),
      categories: rows.map(({ title }) => title),
      title: { text: 'minutes' },
    },
    yaxis: { labels: { maxWidth: 220, style: { fontSize: '14px' } } },
    grid: { borderColor: colour('--color-line') },
    legend: { position: 'top', horizontalAlign: 'left', fontSize: '14px' },
    tooltip: { enabled: false },
  };
}
