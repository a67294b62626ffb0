package marvek.server.laps;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import marvek.core.cause.Finding;
import marvek.core.laps.CornerReading;
import marvek.core.page.CornerPage;
import marvek.formats.Spelled;
import marvek.server.sessions.Sessions;
import org.springframework.stereotype.Service;

/** What some files of a session say, where it was driven by several drivers. */
@Service
public class LapsOfDriver {
  private final Debriefs debriefs;
  private final Laps laps;
  private final Sessions sessions;

  LapsOfDriver(Debriefs debriefs, Laps laps, Sessions sessions) {
    this.debriefs = debriefs;
    this.laps = laps;
    this.sessions = sessions;
  }

  /** A file of a session, by which it is told whose it is. */
  public record File(UUID id, String name) {}

  /**
   * Something that the laps did in a corner.
   *
   * @param rule by its name in small letters
   * @param laps so many did it
   * @param costS a lap; null where it is not known
   */
  public record Found(int corner, String rule, double amount, int laps, int of, Double costS) {}

  /**
   * What a driver's laps say.
   *
   * @param lostS by corner the seconds that each lap lost there
   */
  public record Said(List<Found> found, Map<Integer, List<Double>> lostS) {}

  /** The files of a session in the order they came. */
  public List<File> files(UUID sessionId) {
    return laps.files(sessionId).stream().map(f -> new File(f.id(), f.name())).toList();
  }

  /** Says whose laps some files are: from then on they are taken together with nobody else's. */
  public void give(Set<UUID> files, String driver, String vehicle) {
    files.forEach(file -> laps.say(file, new IncomingLaps.Whose(driver, vehicle)));
  }

  /** What some of a session's files say; nothing where none of them is there. */
  public Said said(UUID sessionId, Set<UUID> files) {
    if (files.isEmpty() || !laps.any(sessionId)) {
      return new Said(List.of(), Map.of());
    }
    SessionLaps read = debriefs.read(sessions.get(sessionId)).of(files);
    List<Found> found =
        read.findings().stream()
            .filter(f -> f.often() == Finding.Often.HABIT)
            .map(
                (Finding f) ->
                    new Found(
                        f.corner(),
                        Spelled.of(f.cause()),
                        f.amount(),
                        f.laps().size(),
                        f.of(),
                        f.costS()))
            .toList();
    return new Said(found, lost(read));
  }

  private static Map<Integer, List<Double>> lost(SessionLaps read) {
    Map<Integer, List<Double>> lost = new HashMap<>();
    List<CornerPage> pages = read.computed().reference().pages();
    for (SessionLaps.DrivenLap lap : read.counted()) {
      for (int p = 0; p < pages.size(); p++) {
        lost.computeIfAbsent(pages.get(p).corner(), c -> new ArrayList<>())
            .add(slower(read.page().corners().get(p), lap.corners().get(p)));
      }
    }
    return lost;
  }

  private static double slower(CornerReading page, CornerReading lap) {
    return page.timeS() == null || lap.timeS() == null ? Double.NaN : lap.timeS() - page.timeS();
  }
}
