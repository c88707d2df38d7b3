import { X } from "lucide-react";
import { lazy, Suspense } from "react";
import { useNavigate, useParams } from "react-router";
import { addArticle, removeArticle, setArticle, setLayout } from "../../core/page/edit.ts";
import { articleAddress } from "../../core/page/page-list.ts";
import type { Article, PanelOnPage } from "../../core/page/pages-schema.ts";
import { layoutAt } from "../../core/page/shown-page.ts";
import { freeId } from "../../core/panel/row-id.ts";
import { blocksOf } from "../../storefront/shop/blocks.ts";
import { IconButton, RemoveLink } from "../controls/line-tools.tsx";
import { TextControl } from "../controls/text-control.tsx";
import { Translations } from "../controls/translations.tsx";
import { useOpenShop, usePages } from "../shell/shop-context.ts";
import { PagesFrame } from "./pages-frame.tsx";
import { justCreated, SlugField, useFollowingSlug } from "./slug-field.tsx";
import { TwoPart } from "./two-part.tsx";

const RichText = lazy(() => import("../controls/rich-text.tsx"));
const label = "pt-1 text-[13px] text-quiet";

/** The shop's articles, and the panels in their text. */
export function ArticlesView() {
  const { shop: slug = "", article: asked } = useParams();
  const { pages } = useOpenShop();
  const articles = usePages((document) => document.articles);
  const navigate = useNavigate();
  const current = articles.find(({ id }) => id === asked) ?? articles[0];
  const to = (id: string) => `/shops/${slug}/pages/articles/${id}`;
  return (
    <PagesFrame>
      <TwoPart
        label="Articles"
        entries={articles.map(({ id, title, slug: own }) => ({ id, name: title, note: articleAddress(own) }))}
        current={current?.id}
        to={to}
        empty="An article is a page of text that can contain a panel."
        addWords="New article"
        add={() => {
          const id = freeId(articles, "article");
          const title = `Article ${articles.length + 1}`;
          const html = "<p>A few words.</p>";
          pages.getState().apply(addArticle({ id, slug: `article-${articles.length + 1}`, title, html }));
          navigate(to(id), { state: justCreated });
        }}
      >
        {current ? <ArticleForm key={current.id} article={current} /> : null}
      </TwoPart>
    </PagesFrame>
  );
}

function ArticleForm({ article }: { article: Article }) {
  const { shop, pages: store } = useOpenShop();
  const pages = usePages((document) => document);
  const navigate = useNavigate();
  const set = (change: Partial<Article>, words: string) =>
    store.getState().apply(setArticle({ ...article, ...change }, `${article.title}: ${words}`));
  const follow = useFollowingSlug();
  const address = articleAddress(article.slug);
  const { panels } = layoutAt({ address, kind: "article" }, pages, shop.panels[0]?.slug);
  const blocks = blocksOf(article.html).length;
  const nameOf = (panel: string) => shop.panels.find(({ slug }) => slug === panel)?.name ?? panel;
  const setPanels = (next: PanelOnPage[], words: string) =>
    store.getState().apply(setLayout({ address }, { panels: next }, `${article.title}: ${words}`));
  return (
    <div className="grid max-w-3xl grid-cols-[110px_minmax(0,1fr)] gap-x-4 gap-y-3">
      <span className={label}>Title</span>
      <div className="flex flex-col gap-1">
        <TextControl
          name="Title of the article"
          value={article.title}
          longest={200}
          set={(text) => {
            const title = text.trim();
            set({ title, ...follow(article, article.title, title) }, `renamed to “${text}”`);
          }}
        />
        <Translations
          of="Title of the article"
          others={article.titles}
          set={(titles, language) => set({ titles }, `name in ${language}`)}
        />
      </div>
      <span className={label}>Address</span>
      <SlugField folder="/articles/" slug={article.slug} set={(slug) => set({ slug }, `address ${slug}`)} />
      <span className={label}>Text</span>
      <Suspense fallback={<p className="text-quiet">Loading…</p>}>
        <RichText
          label="Text of the article"
          html={article.html}
          save={(html) => set({ html }, "text changed")}
          between={{
            items: panels.map(({ panel, after }) => ({
              id: panel,
              name: nameOf(panel),
              after: Math.min(after ?? 0, blocks),
            })),
            more: shop.panels
              .filter(({ slug }) => !panels.some(({ panel }) => panel === slug))
              .map(({ slug, name }) => ({ id: slug, name })),
            put: (panel, after) =>
              setPanels(
                [...panels, { panel, at: { wide: "article" }, after }],
                `insert ${nameOf(panel)} into the text`,
              ),
            moved: (places) => {
              const next = panels.map((one) => ({ ...one, after: places.get(one.panel) ?? one.after ?? 0 }));
              if (next.some((one, at) => one.after !== Math.min(panels[at]?.after ?? 0, blocks)))
                setPanels(next, "panels keep their position in the text");
            },
          }}
        />
      </Suspense>
      <span className={label}>Panels in this article</span>
      <div className="flex flex-col gap-2 text-[13px]">
        {panels.length === 0 ? (
          <p className="pt-1 text-quiet">None. Place the cursor in the text and choose “Insert panel”.</p>
        ) : null}
        {panels.map((one, at) => (
          <div key={one.panel} className="flex items-center gap-2">
            <b className="font-medium">{nameOf(one.panel)}</b>
            <select
              className="select select-sm w-56"
              aria-label={`Position of ${one.panel} in the text`}
              value={Math.min(one.after ?? 0, blocks)}
              onChange={(event) => {
                const after = Number(event.target.value);
                setPanels(
                  panels.map((other, n) => (n === at ? { ...other, after } : other)),
                  "move the panel in the text",
                );
              }}
            >
              {Array.from({ length: blocks + 1 }, (_, n) => (
                <option key={n} value={n}>
                  {n === 0 ? "before the text" : n === blocks ? "after the text" : `after paragraph ${n}`}
                </option>
              ))}
            </select>
            <IconButton
              label={`Remove ${nameOf(one.panel)} from the text`}
              run={() =>
                setPanels(
                  panels.filter(({ panel }) => panel !== one.panel),
                  `remove ${nameOf(one.panel)} from the text`,
                )
              }
            >
              <X size={13} aria-hidden />
            </IconButton>
          </div>
        ))}
      </div>
      <span />
      <RemoveLink
        words="Remove this article"
        run={() => {
          store.getState().apply(removeArticle(article));
          navigate(`/shops/${shop.slug}/pages/articles`);
        }}
      />
    </div>
  );
}
