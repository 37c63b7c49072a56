package org.opentrellis.cluster;

import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.util.concurrent.ConcurrentHashMap;
import org.jspecify.annotations.Nullable;
import org.opentrellis.cli.RunDocument;
import org.opentrellis.core.dryrun.DryRun;
import org.opentrellis.core.dryrun.Effort;
import org.opentrellis.core.dryrun.Tallies;
import org.opentrellis.core.dryrun.TallyForm;

/** A run that an executor has compiled, once for all the parts that it makes. */
final class Compiled {
  private static final ConcurrentHashMap<RunDocument, Compiled> ALL = new ConcurrentHashMap<>();

  private final DryRun run;

  private Compiled(RunDocument document) {
    run = document.dryRun();
  }

  /** The newest run only is kept: an executor works for one at a time. */
  static Compiled of(RunDocument document) {
    if (!ALL.containsKey(document)) {
      ALL.clear();
    }
    return ALL.computeIfAbsent(document, Compiled::new);
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
