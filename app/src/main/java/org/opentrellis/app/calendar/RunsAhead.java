package org.opentrellis.app.calendar;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import java.time.Duration;
import java.util.function.Supplier;
import org.opentrellis.core.dryrun.DryRun;
import org.opentrellis.core.dryrun.Effort;
import org.opentrellis.core.dryrun.Tallies;
import org.springframework.stereotype.Component;

/** The dry runs that the calendar goes by; a moved newsletter changes none of them. */
@Component
class RunsAhead {
  private final Cache<Object, Run> runs =
      Caffeine.newBuilder().maximumSize(1_000).expireAfterAccess(Duration.ofMinutes(30)).build();

  /** A run with what came of it. */
  record Run(DryRun run, Tallies tallies) {}

  /**
   * @param key says all that the run depends on
   */
  Run of(Object key, Effort effort, Supplier<DryRun> make) {
    return runs.get(
        key,
        missing -> {
          DryRun run = make.get();
          return new Run(run, run.run(effort));
        });
  }
}
