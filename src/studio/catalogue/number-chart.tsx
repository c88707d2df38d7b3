import { BarElement, CategoryScale, Chart, LinearScale, Tooltip } from "chart.js";
import { Bar } from "react-chartjs-2";
import type { Histogram } from "../../core/engine/answer.ts";

Chart.register(BarElement, CategoryScale, LinearScale, Tooltip);
Chart.defaults.font.family = '"Figtree Variable", sans-serif';

interface Props {
  histogram: Histogram;
  format(value: number): string;
  label: string;
  /** Unit of the counts. Default: products. */
  what?: string;
  /** Class of its height. */
  height?: string;
}

/** A histogram with round bins; a product counts once per bin. */
export function NumberChart({
  histogram: { edges, counts },
  format,
  label,
  what = "products",
  height = "h-52",
}: Props) {
  const start = (bin: number) => edges[bin] ?? 0;
  const labels = counts.map((_, bin) => format(start(bin)));
  const summary = `${label}: ${counts.map((count, bin) => `${labels[bin]} to ${format(start(bin + 1))}: ${count}`).join("; ")}`;
  return (
    <div className={height}>
      <Bar
        role="img"
        aria-label={summary}
        data={{
          labels,
          datasets: [
            {
              data: counts,
              backgroundColor: "#8d7596",
              hoverBackgroundColor: "#f4955a",
              barPercentage: 1,
              categoryPercentage: 0.94,
            },
          ],
        }}
        options={{
          animation: false,
          maintainAspectRatio: false,
          plugins: {
            tooltip: {
              callbacks: {
                title: ([item]) =>
                  item ? `${labels[item.dataIndex] ?? ""} to ${format(start(item.dataIndex + 1))}` : "",
                label: (item) => `${item.formattedValue} ${what}`,
              },
            },
          },
          scales: {
            x: { grid: { display: false }, ticks: { color: "#6a5573", maxRotation: 0, autoSkipPadding: 16 } },
            y: { grid: { color: "#e5dac8" }, border: { display: false }, ticks: { color: "#6a5573", precision: 0 } },
          },
        }}
      />
    </div>
  );
}
