/** What went wrong, in the words that were given for it. */
export function sentence(trouble: unknown, otherwise: string): string {
    return trouble instanceof Error ? trouble.message : otherwise;
}

/** What the server refused, under the first of these names that it was told of, else whatever it told. */
export function refusal(errors: Partial<Record<string, string>>, otherwise: string, ...names: string[]): string {
    return (
        names.map((name) => errors[name]).find((says) => says !== undefined) ?? Object.values(errors)[0] ?? otherwise
    );
}
