/** The first free loopback port at or after `preferred`. */
export function freePort(preferred: number): Promise<number>;
