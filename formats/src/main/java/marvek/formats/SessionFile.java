package marvek.formats;

import java.util.List;
import marvek.core.brief.Preparation.Decision;
import marvek.core.brief.Session;

/**
 * A session with what was done for it.
 *
 * @param decisions on what it changes, so far
 * @param revision number of the revision that was issued for it, or null
 */
public record SessionFile(Session session, List<Decision> decisions, Integer revision) {
  public SessionFile {
    decisions = List.copyOf(decisions);
  }

  /** The same session, planned otherwise. */
  public SessionFile with(Session other) {
    return new SessionFile(other, decisions, revision);
  }

  public SessionFile withDecisions(List<Decision> others) {
    return new SessionFile(session, others, revision);
  }

  /** The same with a revision issued for it. */
  public SessionFile issued(int number) {
    return new SessionFile(session, decisions, number);
  }
}
