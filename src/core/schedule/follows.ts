/** Where an operation may begin on one place, as it is or late, and what all from there on costs at the least. */
export interface Option {
  place: number;
  late: boolean;
  /** By slot; Infinity where it cannot begin. */
  cost: Float64Array;
  /** By slot, which option of the next operation follows, and its slot. */
  next: Int32Array;
  at: Int32Array;
}

/** An option as what comes before it sees it: of one place, or of whichever is best by slot. */
export interface Follows {
  cost: Float64Array;
  late: boolean;
  place: number;
  number: number;
  /** By slot, which option it is. */
  of?: Int8Array;
}

/** Options one by one, and by slot the best of those that are late and of those that are not. */
export function followsOf(options: Option[]): { own: Follows[]; any: Follows[] } {
  const own = options.map(({ cost, late, place }, number): Follows => ({ cost, late, place, number }));
  const any = [false, true].flatMap((late): Follows[] => {
    const all = own.filter((o) => o.late === late);
    if (all.length < 2) return all;
    const cost = all[0]!.cost.slice();
    const of = new Int8Array(cost.length).fill(all[0]!.number);
    for (const { cost: other, number } of all.slice(1))
      for (let t = 0; t < cost.length; t++)
        if (other[t]! < cost[t]!) {
          cost[t] = other[t]!;
          of[t] = number;
        }
    return [{ cost, of, late, place: -1, number: -1 }];
  });
  return { own, any };
}
