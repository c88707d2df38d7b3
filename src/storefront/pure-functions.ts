/** Functions of libraries that are called when they are loaded; where nobody uses what they make, it leaves with them. */
export const pureFunctions = ["bisector", "shuffler", "blurfImage", "Blur2", "bisectorNumber"];
