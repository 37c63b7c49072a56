package org.opentrellis.app.letters;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import java.util.Set;
import org.opentrellis.core.journey.PartId;
import org.opentrellis.core.message.Letterhead;
import org.opentrellis.core.message.Manuscript;
import org.opentrellis.mail.LetterPress;
import org.opentrellis.mail.Template;
import org.springframework.stereotype.Component;

/** Prints letters once for each choice of passages; they are filled for each person. */
@Component
class Printing {
  private static final int MOST = 200;

  private final Cache<Printed, Template> printed = Caffeine.newBuilder().maximumSize(MOST).build();

  private record Printed(Manuscript.Email email, Letterhead head, Set<PartId> holding) {}

  /**
   * @param holding the passages that are shown
   */
  Template of(Manuscript.Email email, Letterhead head, Set<PartId> holding) {
    return printed.get(
        new Printed(email, head, holding),
        one -> LetterPress.print(one.email(), one.head(), one.holding()));
  }
}
