/** The part of itemsjs that the tests use; the package ships no types. */
declare module "itemsjs" {
  interface Bucket {
    key: string;
    doc_count: number;
  }
  interface Result {
    pagination: { total: number };
    data: { aggregations: Record<string, { buckets: Bucket[] }> };
  }
  export default function itemsjs(
    items: readonly object[],
    options: { aggregations: Record<string, { size: number; conjunction: boolean }> },
  ): { search(query: { filters: Record<string, string[]>; per_page: number }): Result };
}
