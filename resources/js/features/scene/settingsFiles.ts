/** What settings of a scene come in. */
export const SETTINGS_FILES =
    '.json,.usda,.usd,.txt,.ini,.cfg,.csv,.tsv,.xlsx,.zip,application/json,text/plain,text/csv';
