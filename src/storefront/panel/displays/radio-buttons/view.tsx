/** Check boxes are radio buttons in a one-of facet. */
export { view } from "../check-boxes/view.tsx";
