export function NewShopView() { return null; }
