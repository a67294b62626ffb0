package marvek.server.jobs;

import com.github.benmanes.caffeine.cache.Caffeine;
import com.github.kagkarlsson.scheduler.Scheduler;
import com.github.kagkarlsson.scheduler.task.FailureHandler;
import com.github.kagkarlsson.scheduler.task.helper.OneTimeTask;
import com.github.kagkarlsson.scheduler.task.helper.Tasks;
import jakarta.annotation.PreDestroy;
import java.nio.charset.StandardCharsets;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.function.Function;
import java.util.stream.Collectors;
import javax.sql.DataSource;
import marvek.server.accounts.CurrentDriver;
import marvek.server.problems.FullException;
import marvek.server.problems.NotFoundException;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.boot.context.event.ApplicationReadyEvent;
import org.springframework.context.event.EventListener;
import org.springframework.stereotype.Service;
import tools.jackson.databind.json.JsonMapper;

/**
 * Long work, kept in the database: any server on it may run, show and cancel it, and goes on with
 * what another died over. Two at a time on each; the same asked twice runs once, and who cancels it
 * does so for all who asked.
 */
@Service
public class Jobs {
  private static final Logger LOG = LoggerFactory.getLogger(Jobs.class);
  private static final int AT_ONCE = 2;

  /** Some minutes of work for one server: who comes later is told so. */
  private static final int MOST_WAITING = 50;

  /** A work over which servers die is not begun for ever. */
  private static final int MOST_BEGINNINGS = 3;

  private static final Duration KEPT = Duration.ofDays(1);

  private final JobRepository jobs;
  private final Map<String, JobWork<?>> works;
  private final JsonMapper json;
  private final CurrentDriver driver;
  private final RunningJobs running;

  /** Who asked waits for seconds; what another server ends is heard of by asking again. */
  private final Map<UUID, StartedJob> asked =
      Caffeine.newBuilder()
          .expireAfterWrite(Duration.ofMinutes(1))
          .<UUID, StartedJob>build()
          .asMap();

  private final OneTimeTask<Void> task;
  private final Scheduler scheduler;

  @Autowired
  Jobs(
      JobRepository jobs,
      DataSource database,
      List<JobWork<?>> works,
      JsonMapper json,
      CurrentDriver driver) {
    this(jobs, database, works, json, driver, "job", Duration.ofSeconds(5));
  }

  /**
   * @param name of the task in the scheduler's table: servers of another name do other work
   * @param heartbeat how often a server says that it lives; one that missed four is dead
   */
  Jobs(
      JobRepository jobs,
      DataSource database,
      List<JobWork<?>> works,
      JsonMapper json,
      CurrentDriver driver,
      String name,
      Duration heartbeat) {
    this.jobs = jobs;
    this.works = works.stream().collect(Collectors.toMap(JobWork::kind, Function.identity()));
    this.json = json;
    this.driver = driver;
    this.running = new RunningJobs(jobs);
    this.task =
        Tasks.oneTime(name)
            .onFailure(new FailureHandler.OnFailureRetryLater<>(Duration.ofSeconds(1)))
            .execute((instance, context) -> run(UUID.fromString(instance.getId())));
    this.scheduler =
        Scheduler.create(database, task)
            .threads(AT_ONCE)
            .enableImmediateExecution()
            .pollingInterval(Duration.ofSeconds(1))
            .heartbeatInterval(heartbeat)
            .missedHeartbeatsLimit(4)
            .shutdownMaxWait(Duration.ofSeconds(2))
            .build();
  }

  @EventListener(ApplicationReadyEvent.class)
  void begin() {
    scheduler.start();
  }

  @PreDestroy
  void stop() {
    scheduler.stop();
    running.stop();
  }

  /**
   * Asks for work, or for a share in the same that is asked for already.
   *
   * @throws FullException if too much waits already
   */
  public <A> StartedJob start(JobWork<A> work, A what) {
    jobs.forget(Instant.now().minus(KEPT));
    if (jobs.waiting() >= MOST_WAITING) {
      throw new FullException();
    }
    String words = json.writeValueAsString(what);
    String same = sameAs(driver.id() + " " + work.kind() + " " + words);
    UUID id = UUID.randomUUID();
    StartedJob mine = new StartedJob(id);
    asked.put(id, mine);
    while (jobs.ask(id, driver.id(), work.kind(), words, same, Instant.now()) == 0) {
      UUID theirs = jobs.openOfTheSame(same).orElse(null);
      if (theirs != null && jobs.join(theirs) == 1) {
        asked.remove(id);
        return asked.getOrDefault(theirs, new StartedJob(theirs));
      }
      // It ended between the two questions.
    }
    schedule(id);
    return mine;
  }

  private static String sameAs(String words) {
    return UUID.nameUUIDFromBytes(words.getBytes(StandardCharsets.UTF_8)).toString();
  }

  private void schedule(UUID id) {
    scheduler.scheduleIfNotExists(task.instance(id.toString()), Instant.now());
  }

  /**
   * How a job stands.
   *
   * @throws NotFoundException if there is none, or it ended more than a day ago
   */
  public JobView view(UUID id) {
    Job job = get(id);
    if (job.status() == JobStatus.QUEUED) {
      // Its server may have died before it was on the scheduler's list.
      schedule(id);
    }
    return JobView.of(job);
  }

  /**
   * Ends a job as soon as it can, unless somebody else waits for it too; what has ended stays as it
   * is.
   */
  JobView cancel(UUID id) {
    get(id);
    if (jobs.leave(id) == 0) {
      jobs.cancelled(id, Instant.now());
      ended(id, job -> job.cancelled());
    }
    return JobView.of(get(id));
  }

  private Job get(UUID id) {
    return jobs.findById(id).orElseThrow(() -> NotFoundException.of("job", id));
  }

  /** Called by the scheduler on one of its threads; what is thrown makes it come again. */
  private void run(UUID id) {
    if (jobs.begin(id) == 0) {
      return;
    }
    Job job = get(id);
    if (job.begun() > MOST_BEGINNINGS) {
      fail(id, new IllegalStateException("begun " + MOST_BEGINNINGS + " times without an end"));
      return;
    }
    running.begin(id);
    try {
      JobWork.Made made = work(job);
      running.end(id);
      if (jobs.done(id, made.id(), made.revision(), Instant.now()) == 1) {
        ended(id, waiting -> waiting.done(made));
      }
    } catch (RuntimeException e) {
      running.end(id);
      if (get(id).status() == JobStatus.RUNNING) {
        if (scheduler.getSchedulerState().isShuttingDown()) {
          throw e;
        }
        fail(id, e);
      }
    } catch (Error e) {
      running.end(id);
      fail(id, new IllegalStateException("a job ended with an error", e));
    }
  }

  private JobWork.Made work(Job job) {
    JobWork<?> work = works.get(job.kind());
    if (work == null) {
      throw new IllegalStateException("no work of the kind " + job.kind());
    }
    return read(work, job);
  }

  private <A> JobWork.Made read(JobWork<A> work, Job job) {
    A what = json.readValue(job.asked(), work.asked());
    UUID owner = job.ownerId() == null ? driver.id() : job.ownerId();
    return driver.as(owner, () -> work.run(job.id(), what, new KeptProgress(jobs, job.id())));
  }

  private void fail(UUID id, RuntimeException why) {
    if (!Told.toItsAsker(why)) {
      LOG.error("Job {} failed", id, why);
    }
    jobs.failed(id, Told.of(why).kept(), Instant.now());
    ended(id, job -> job.failed(why));
  }

  private void ended(UUID id, java.util.function.Consumer<StartedJob> how) {
    StartedJob waiting = asked.remove(id);
    if (waiting != null) {
      how.accept(waiting);
    }
  }
}
