package marvek.server.jobs;

import org.springframework.stereotype.Component;

/** What a server that is not ready yet is doing, for who waits for it. */
@Component
public class StartReport {
  private volatile String doing = "starting";

  /**
   * @param what in words, as "filling the demo"
   * @param share of it that is done, 0 to 1
   */
  public void at(String what, double share) {
    doing = "%s: %.0f %%".formatted(what, 100 * share);
  }

  /** One line, as "filling the demo: 40 %". */
  public String line() {
    return doing;
  }
}
