package marvek.server.jobs;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.concurrent.CountDownLatch;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Test;

class JobTest {
  private final Jobs jobs = new Jobs();

  @AfterEach
  void stop() {
    jobs.stop();
  }

  @Test
  void workThatEndsIsDone() {
    Job<String> job =
        jobs.start(
            progress -> {
              progress.at(0.4);
              return "ready";
            });
    assertThat(job.await(5000)).isTrue();
    assertThat(job.status()).isEqualTo(Job.Status.DONE);
    assertThat(job.progress()).isEqualTo(1);
    assertThat(job.result()).isEqualTo("ready");
    assertThat(jobs.get(job.id())).isSameAs(job);
  }

  @Test
  void workThatThrowsHasFailedWithItsCause() {
    Job<String> job =
        jobs.start(
            progress -> {
              throw new IllegalStateException("no road");
            });
    assertThat(job.await(5000)).isTrue();
    assertThat(job.status()).isEqualTo(Job.Status.FAILED);
    assertThatThrownBy(job::result).hasMessage("no road");
  }

  @Test
  void aCancelledJobInterruptsItsWorkAndKeepsNothing() throws InterruptedException {
    CountDownLatch begun = new CountDownLatch(1);
    CountDownLatch interrupted = new CountDownLatch(1);
    Job<String> job =
        jobs.start(
            progress -> {
              begun.countDown();
              try {
                new CountDownLatch(1).await();
              } catch (InterruptedException e) {
                interrupted.countDown();
              }
              return "too late";
            });
    begun.await();
    assertThat(job.status()).isEqualTo(Job.Status.RUNNING);
    job.cancel();
    interrupted.await();
    assertThat(job.status()).isEqualTo(Job.Status.CANCELLED);
    assertThat(job.result()).isNull();
  }

  @Test
  void aJobThatWaitsCanBeCancelledBeforeItBegins() {
    CountDownLatch hold = new CountDownLatch(1);
    Job.Work<Integer> waiting =
        progress -> {
          try {
            hold.await();
          } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
          }
          return 1;
        };
    jobs.start(waiting);
    jobs.start(waiting);
    Job<Integer> third = jobs.start(progress -> 3);
    assertThat(third.status()).isEqualTo(Job.Status.QUEUED);
    third.cancel();
    hold.countDown();
    assertThat(third.await(5000)).isTrue();
    assertThat(third.status()).isEqualTo(Job.Status.CANCELLED);
  }

  @Test
  void patienceEndsBeforeSlowWork() {
    CountDownLatch hold = new CountDownLatch(1);
    Job<Integer> job =
        jobs.start(
            progress -> {
              try {
                hold.await();
              } catch (InterruptedException e) {
                Thread.currentThread().interrupt();
              }
              return 1;
            });
    assertThat(job.await(20)).isFalse();
    hold.countDown();
    assertThat(job.await(5000)).isTrue();
  }
}
