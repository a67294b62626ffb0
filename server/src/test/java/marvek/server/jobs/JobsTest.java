package marvek.server.jobs;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.time.Duration;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import java.util.concurrent.CountDownLatch;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.function.BooleanSupplier;
import javax.sql.DataSource;
import marvek.core.InvalidValueException;
import marvek.core.say.Sentence;
import marvek.server.ServerTest;
import marvek.server.problems.FullException;
import marvek.server.problems.NotFoundException;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.jdbc.core.JdbcTemplate;
import tools.jackson.databind.json.JsonMapper;

/** Jobs of one server, and of two on one database. */
@ServerTest
class JobsTest {
  private static final Duration HEARTBEAT = Duration.ofMillis(300);
  private static final UUID BOOK = UUID.fromString("6f1d2a34-0000-4000-8000-000000000001");

  @Autowired private marvek.server.accounts.CurrentDriver driver;
  @Autowired private JobRepository rows;
  @Autowired private DataSource database;
  @Autowired private JdbcTemplate sql;
  @Autowired private JsonMapper json;

  /** Own to a test, so that the servers of none do another's work. */
  private final String name = "test-" + UUID.randomUUID();

  private final List<Jobs> servers = new ArrayList<>();
  private final TestWork work = new TestWork();
  private Jobs jobs;

  /** Does what a test says under the word that is asked for. */
  private static final class TestWork implements JobWork<String> {
    final AtomicInteger runs = new AtomicInteger();
    final CountDownLatch hold = new CountDownLatch(1);
    final CountDownLatch begun = new CountDownLatch(1);
    final CountDownLatch interrupted = new CountDownLatch(1);

    @Override
    public String kind() {
      return "test";
    }

    @Override
    public Class<String> asked() {
      return String.class;
    }

    @Override
    public Made run(UUID job, String asked, Progress progress) {
      runs.incrementAndGet();
      switch (asked.replaceAll(" .*", "")) {
        case "bad" -> throw new InvalidValueException("mass_kg", Sentence.of("refused.missing"));
        case "broken" -> throw new IllegalStateException("of classes and tables");
        case "error" -> throw new StackOverflowError();
        case "slow" -> {
          begun.countDown();
          try {
            hold.await();
          } catch (InterruptedException e) {
            interrupted.countDown();
            throw new java.util.concurrent.CancellationException("interrupted");
          }
        }
        case "steps" -> {
          for (int step = 1; step <= 4; step++) {
            java.util.concurrent.locks.LockSupport.parkNanos(150_000_000);
            progress.at(step / 10.0);
          }
          begun.countDown();
          java.util.concurrent.locks.LockSupport.parkNanos(500_000_000);
        }
        default -> {}
      }
      return new Made(BOOK, asked.length());
    }
  }

  @BeforeEach
  void begin() {
    jobs = server();
  }

  private Jobs server() {
    Jobs server = new Jobs(rows, database, List.of(work), json, driver, name, HEARTBEAT);
    server.begin();
    servers.add(server);
    return server;
  }

  @AfterEach
  void end() {
    work.hold.countDown();
    servers.forEach(Jobs::stop);
    sql.update("delete from job where kind = 'test'");
    sql.update("delete from scheduled_tasks where task_name = ?", name);
  }

  @Test
  void workThatEndsIsDoneAndAnsweredAtOnce() {
    StartedJob job = jobs.start(work, "four");
    assertThat(job.await(5000)).contains(new JobWork.Made(BOOK, 4));
    assertThat(jobs.view(job.id()))
        .isEqualTo(
            new JobView(job.id(), JobStatus.DONE, 1, new JobWork.Made(BOOK, 4), null, null, null));
  }

  @Test
  void whatTheAskerDidWrongIsToldToHim() {
    StartedJob job = jobs.start(work, "bad");
    assertThatThrownBy(() -> job.await(5000)).isInstanceOf(InvalidValueException.class);
    JobView view = jobs.view(job.id());
    assertThat(view.status()).isEqualTo(JobStatus.FAILED);
    assertThat(view.problem()).isEqualTo("mass_kg is missing");
    assertThat(view.field()).isEqualTo("mass_kg");
    assertThat(view.said()).isEqualTo(Sentence.of("refused.missing"));
  }

  @Test
  void whatAnOlderServerToldInWordsIsToldInThem() {
    StartedJob job = jobs.start(work, "bad");
    assertThatThrownBy(() -> job.await(5000)).isInstanceOf(InvalidValueException.class);
    sql.update("update job set problem = 'It was too much' where id = ?", job.id());
    JobView view = jobs.view(job.id());
    assertThat(view.problem()).isEqualTo("It was too much");
    assertThat(view.field()).isNull();
    assertThat(view.said()).isEqualTo(Sentence.told("It was too much"));
  }

  @Test
  void whatBrokeIsToldWithoutItsInsides() {
    for (String how : List.of("broken", "error")) {
      StartedJob job = jobs.start(work, how);
      assertThatThrownBy(() -> job.await(5000)).isInstanceOf(IllegalStateException.class);
      assertThat(jobs.view(job.id()).problem())
          .startsWith("Something went wrong inside Marvek")
          .doesNotContain("tables");
    }
  }

  @Test
  void progressIsSeenByEveryServer() throws Exception {
    Jobs other = server();
    StartedJob job = jobs.start(work, "steps");
    work.begun.await();
    assertThat(other.view(job.id()).status()).isEqualTo(JobStatus.RUNNING);
    // Kept every 0.2 s of 0.15 s a step: the second and the fourth.
    assertThat(other.view(job.id()).progress()).isEqualTo(0.4);
    assertThat(job.await(5000)).isPresent();
  }

  @Test
  void anyServerCancelsAndTheWorkIsInterrupted() throws Exception {
    StartedJob job = jobs.start(work, "slow");
    work.begun.await();
    Jobs other = new Jobs(rows, database, List.of(), json, driver, "nobody's", HEARTBEAT);
    servers.add(other);
    assertThat(other.cancel(job.id()).status()).isEqualTo(JobStatus.CANCELLED);
    assertThat(work.interrupted.await(5, TimeUnit.SECONDS)).isTrue();
    await(() -> listed() == 0);
    assertThat(jobs.view(job.id()).status()).isEqualTo(JobStatus.CANCELLED);
    assertThat(jobs.view(job.id()).result()).isNull();
  }

  @Test
  void whatWaitsIsCancelledBeforeItBegins() {
    jobs.start(work, "slow 1");
    jobs.start(work, "slow 2");
    StartedJob third = jobs.start(work, "quick");
    await(() -> work.runs.get() == 2);
    assertThat(jobs.view(third.id()).status()).isEqualTo(JobStatus.QUEUED);
    jobs.cancel(third.id());
    assertThat(third.await(5000)).isEmpty();
    work.hold.countDown();
    await(() -> listed() == 0);
    assertThat(work.runs).hasValue(2);
    assertThat(jobs.view(third.id()).status()).isEqualTo(JobStatus.CANCELLED);
  }

  @Test
  void theSameAskedTwiceRunsOnce() {
    StartedJob first = jobs.start(work, "slow");
    StartedJob second = jobs.start(work, "slow");
    StartedJob elsewhere = server().start(work, "slow");
    assertThat(second.id()).isEqualTo(first.id()).isEqualTo(elsewhere.id());
    work.hold.countDown();
    assertThat(second.await(5000)).isPresent();
    assertThat(work.runs).hasValue(1);
    assertThat(jobs.start(work, "slow").id()).as("asked again later").isNotEqualTo(first.id());
  }

  @Test
  void whoLeavesDoesNotEndItForTheOthers() {
    StartedJob mine = jobs.start(work, "slow");
    StartedJob theirs = server().start(work, "slow");
    assertThat(theirs.id()).isEqualTo(mine.id());
    await(() -> work.runs.get() == 1);
    assertThat(jobs.cancel(mine.id()).status()).isEqualTo(JobStatus.RUNNING);
    work.hold.countDown();
    await(() -> jobs.view(mine.id()).status() == JobStatus.DONE);
    assertThat(jobs.cancel(mine.id()).status()).as("ended already").isEqualTo(JobStatus.DONE);
  }

  @Test
  void theLastWhoLeavesEndsIt() throws Exception {
    StartedJob job = jobs.start(work, "slow");
    jobs.start(work, "slow");
    work.begun.await();
    jobs.cancel(job.id());
    assertThat(jobs.cancel(job.id()).status()).isEqualTo(JobStatus.CANCELLED);
    assertThat(work.interrupted.await(5, TimeUnit.SECONDS)).isTrue();
  }

  @Test
  void whatADeadServerHadIsDoneByAnother() {
    UUID id = UUID.randomUUID();
    rows.ask(id, driver.id(), "test", "\"left\"", "x" + id, java.time.Instant.now());
    rows.begin(id);
    sql.update(
        "insert into scheduled_tasks (task_name, task_instance, execution_time, picked, picked_by,"
            + " last_heartbeat, version) values (?, ?, now() - interval '1 minute', true, 'gone',"
            + " now() - interval '1 minute', 1)",
        name,
        id.toString());
    await(() -> jobs.view(id).status() == JobStatus.DONE);
    assertThat(rows.findById(id).map(Job::begun)).contains(2);
  }

  @Test
  void aWorkOverWhichServersDieIsGivenUp() {
    UUID id = UUID.randomUUID();
    rows.ask(id, driver.id(), "test", "\"deadly\"", "x" + id, java.time.Instant.now());
    for (int k = 0; k < 3; k++) {
      rows.begin(id);
    }
    sql.update("update job set status = 'queued' where id = ?", id);
    await(() -> jobs.view(id).status() == JobStatus.FAILED);
    assertThat(work.runs).hasValue(0);
  }

  @Test
  void whatAServerLaysDownWhenItStopsIsDoneByAnother() throws Exception {
    StartedJob job = jobs.start(work, "slow");
    work.begun.await();
    servers.remove(jobs);
    jobs.stop();
    assertThat(work.interrupted.await(5, TimeUnit.SECONDS)).isTrue();
    work.hold.countDown();
    Jobs next = server();
    await(() -> next.view(job.id()).status() == JobStatus.DONE);
    assertThat(work.runs).hasValue(2);
  }

  @Test
  void tooMuchThatWaitsIsRefused() {
    for (int k = 0; k < 52; k++) {
      String asked = "slow " + k;
      jobs.start(work, asked);
      if (k == 1) {
        await(() -> work.runs.get() == 2);
      }
    }
    assertThatThrownBy(() -> jobs.start(work, "one more")).isInstanceOf(FullException.class);
  }

  @Test
  void patienceEndsBeforeSlowWorkAndNobodyKnowsAForeignJob() {
    assertThat(jobs.start(work, "slow").await(20)).isEqualTo(Optional.empty());
    assertThatThrownBy(() -> jobs.view(UUID.randomUUID())).isInstanceOf(NotFoundException.class);
  }

  private int listed() {
    return sql.queryForObject(
        "select count(*) from scheduled_tasks where task_name = ?", Integer.class, name);
  }

  private static void await(BooleanSupplier there) {
    long until = System.nanoTime() + 20_000_000_000L;
    while (!there.getAsBoolean()) {
      assertThat(System.nanoTime()).as("waited in vain").isLessThan(until);
      java.util.concurrent.locks.LockSupport.parkNanos(20_000_000);
    }
  }
}
