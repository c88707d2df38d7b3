/** Boxes are radio buttons wherever only one can be chosen. */
export { view } from "../check-boxes/view.tsx";
