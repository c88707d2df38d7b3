import { Commands } from "../shell/commands.tsx";
import { useOpenShop } from "../shell/shop-context.ts";
import { Strip } from "../shell/strip.tsx";
import { shopViews } from "../shell/views.ts";
import { LookStarts } from "./look-starts.tsx";
import { useMakeLook } from "./make-look.ts";

/** Shown if the shop has no look: an explanation, and six to start from. */
export function NoLook() {
  const { shop } = useOpenShop();
  const make = useMakeLook();
  return (
    <div className="flex h-full flex-col">
      <Strip views={shopViews(shop.slug)} />
      <main className="mx-auto w-full max-w-3xl p-8">
        <h1 className="text-2xl">Look</h1>
        <p className="mb-5 max-w-prose text-quiet">
          A look makes all panels match the shop: colours, type, corners and sizes, in every state. Start from the
          shop’s own style sheet or from one of these; you can change everything later.
        </p>
        <LookStarts make={make} />
      </main>
      <Commands stores={[]} />
    </div>
  );
}
