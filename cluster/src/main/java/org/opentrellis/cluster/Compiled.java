package org.opentrellis.cluster;

import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.util.List;
import java.util.concurrent.ConcurrentHashMap;
import java.util.stream.IntStream;
import org.jspecify.annotations.Nullable;
import org.opentrellis.core.dryrun.DryRun;
import org.opentrellis.core.dryrun.Effort;
import org.opentrellis.core.dryrun.PeopleScores;
import org.opentrellis.core.dryrun.RunControl;
import org.opentrellis.core.dryrun.Tallies;
import org.opentrellis.core.dryrun.TallyForm;
import org.opentrellis.core.elsewhere.RunDocument;

/** A run that an executor has compiled, once for all the parts that it makes. */
final class Compiled {
  private static final ConcurrentHashMap<RunDocument, Compiled> ALL = new ConcurrentHashMap<>();

  private static final int KEPT = 32;

  private final DryRun run;

  private Compiled(RunDocument document) {
    run = document.dryRun();
  }

  /** A few are kept: an executor takes parts of several variations at a time. */
  static Compiled of(RunDocument document) {
    if (!ALL.containsKey(document) && ALL.size() >= KEPT) {
      ALL.clear();
    }
    return ALL.computeIfAbsent(document, Compiled::new);
  }

  DryRun run() {
    return run;
  }

  /**
   * What some of the people do.
   *
   * @param pioneers what the first million did; null for a part of these
   */
  byte[] part(Range range, byte @Nullable [] pioneers) {
    Tallies known = pioneers == null ? null : read(pioneers);
    return bytes(run.part(range.first(), range.end(), known, Effort.of(1)));
  }

  /** What each of some people brought and cost. */
  byte[] scores(Range range) {
    ByteArrayOutputStream out = new ByteArrayOutputStream();
    PeopleScores.of(run, 0, range.first(), range.end(), RunControl.NONE).write(out);
    return out.toByteArray();
  }

  static PeopleScores joined(DryRun run, List<Range> ranges, List<byte[]> parts) {
    return PeopleScores.joined(
        run,
        IntStream.range(0, ranges.size())
            .mapToObj(
                n ->
                    PeopleScores.read(
                        run,
                        ranges.get(n).first(),
                        ranges.get(n).end(),
                        new ByteArrayInputStream(parts.get(n))))
            .toList());
  }

  /** Two parts behind the pioneers, together. */
  byte[] together(byte[] one, byte[] other) {
    return bytes(read(one).and(read(other)));
  }

  Tallies read(byte[] bytes) {
    return TallyForm.read(run, new ByteArrayInputStream(bytes));
  }

  static byte[] bytes(Tallies tallies) {
    ByteArrayOutputStream out = new ByteArrayOutputStream();
    TallyForm.write(tallies, out);
    return out.toByteArray();
  }
}
