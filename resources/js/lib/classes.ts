/** Names of classes together, as far as they hold; so that a long list of them can stand in several lines. */
export const classes = (...names: (string | false | undefined)[]): string =>
    names.filter((name) => name !== false && name !== undefined).join(' ');
