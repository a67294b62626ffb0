/** The types that openapi.json gives, as they are kept. */
export function typesOfContract(): Promise<string>;
/** The kept types. */
export function kept(): string;
