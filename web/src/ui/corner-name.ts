/** A number with a letter, by which the circuit counts its corners: it stands for the number. */
const LABEL = /^\d{1,3}[A-Za-z]$/;

type Named = { corner: number; name?: string };

/** A corner as it is called: "3 Mill", "5A", and one without a name "turn 3". */
export const cornerName = ({ corner, name }: Named): string =>
  !name ? `turn ${corner}` : LABEL.test(name) ? name : `${corner} ${name}`;

/** What stands on its tab: its number, or what the circuit counts it as. */
export const cornerNumber = ({ corner, name }: Named): string =>
  name && LABEL.test(name) ? name : String(corner);
