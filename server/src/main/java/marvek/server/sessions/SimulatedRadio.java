package marvek.server.sessions;

import java.time.Instant;
import java.util.ArrayDeque;
import java.util.Deque;
import java.util.List;
import marvek.core.Require;
import org.springframework.stereotype.Component;

/**
 * A radio that sends to nobody, as a stand-in for one: it keeps what was said over it, so that a
 * second screen can hear it. Forgets all when the server stops.
 */
@Component
class SimulatedRadio {
  private static final int KEPT = 200;
  private static final int LONGEST = 300;

  private final Deque<Message> heard = new ArrayDeque<>();
  private long last;

  /** Something that was said. */
  record Message(long number, Instant at, String words) {}

  /** Says something; numbers go up by one. */
  synchronized Message say(String words) {
    Require.text("words", words, LONGEST);
    Message message = new Message(++last, Instant.now(), words.strip());
    heard.addLast(message);
    if (heard.size() > KEPT) {
      heard.removeFirst();
    }
    return message;
  }

  /** What was said after a number, oldest first. */
  synchronized List<Message> after(long number) {
    return heard.stream().filter(message -> message.number() > number).toList();
  }

  /** Number of the last message; 0 before the first. */
  synchronized long last() {
    return last;
  }
}
