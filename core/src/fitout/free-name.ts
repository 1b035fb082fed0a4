/** A name that none of the others has: with the first number that is free, where the plain one is taken. */
export function freeName(name: string, others: readonly { readonly name: string }[]): string {
  const isTaken = (tried: string) => others.some((other) => other.name === tried);
  if (!isTaken(name)) return name;
  let k = 2;
  while (isTaken(`${name} ${k}`)) k++;
  return `${name} ${k}`;
}
