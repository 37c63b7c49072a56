package org.opentrellis.core.format;

import java.util.List;
import org.jspecify.annotations.Nullable;
import org.opentrellis.core.journey.LinkName;
import org.opentrellis.core.journey.Message;
import org.opentrellis.core.journey.MessageId;
import org.opentrellis.core.problem.ProblemsFound;

/** Reads messages. */
public final class MessageFormat {
  private static final int MOST_LINKS = 20;

  /** Stands in for the parts that are not being looked at. */
  private static final String ANY = "-";

  private MessageFormat() {}

  /**
   * A message from what a user wrote, each part perhaps missing.
   *
   * @throws ProblemsFound with every problem and its place
   */
  public static Message read(
      MessageId id, @Nullable String name, @Nullable String subject, @Nullable List<String> links) {
    Reading reading = new Reading();
    reading.required("/name", name, given -> new Message(id, given, ANY, List.of()));
    reading.required("/subject", subject, given -> new Message(id, ANY, given, List.of()));
    List<LinkName> read =
        reading.list("/links", links, (link, at) -> reading.value(at, () -> new LinkName(link)));
    if (read.size() > MOST_LINKS) {
      reading
          .problems()
          .add("too-many-links", "/links", "A message has at most " + MOST_LINKS + " links.");
    }
    reading.value("/links", () -> new Message(id, ANY, ANY, read));
    reading.problems().throwIfAny();
    return new Message(id, name, subject, read);
  }
}
