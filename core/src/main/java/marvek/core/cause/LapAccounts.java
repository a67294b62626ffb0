package marvek.core.cause;

import java.util.List;

/**
 * Where a lap lost its time: one account a corner, in the order of the pages, and what was brought
 * over the line or is handed on over it. They add up to the lap's loss.
 *
 * @param lostS slower than the page's lap, line to line
 * @param broughtS lost because the lap began slower than the page's
 * @param handedOnS charged to the last corner, and paid for on the straight of the next lap
 */
public record LapAccounts(
    double lostS, double broughtS, double handedOnS, List<CornerAccount> corners) {
  public LapAccounts {
    corners = List.copyOf(corners);
  }
}
