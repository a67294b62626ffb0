/** What lies beside or over every screen: the guide, and the search. */
class Help {
  /** The section of the guide that is open beside the screen; undefined while it is closed. */
  section = $state<string>();
  searching = $state(false);
}

export const help = new Help();
