/** What is generated from openapi.json, by its place. */
export const GENERATED: Record<string, () => Promise<string>>;
/** A generated file as it is kept. */
export function kept(path: string): string;
