/** A corner as it is called: "3 Mill", and one without a name "turn 3". */
export const cornerName = ({ corner, name }: { corner: number; name?: string }): string =>
  name ? `${corner} ${name}` : `turn ${corner}`;
