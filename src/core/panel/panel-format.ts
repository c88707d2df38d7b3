/** Version of the panel format that this code writes. Separate from the schema, which a shop's page does not load. */
export const panelFormat = 5;
