/** Opens the draft as shoppers would see it; the page says that it is the draft and links to the published one. */
export const ShopperView = ({ shop, address = "/" }: { shop: string; address?: string }) => (
  <a
    href={`/draft/${encodeURIComponent(shop)}${address}`}
    target="_blank"
    rel="noreferrer"
    className="btn btn-accent btn-sm whitespace-nowrap"
  >
    <span>
      <span className="max-sm:sr-only">Shopper view: </span>draft
    </span>
  </a>
);
