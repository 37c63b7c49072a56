export function writeShipped(modules: string[]): void
export function readShipped(): string[]
