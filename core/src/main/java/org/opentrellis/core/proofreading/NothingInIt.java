package org.opentrellis.core.proofreading;

import java.util.List;
import java.util.Optional;
import org.opentrellis.core.message.Manuscript;

/** A message says something. */
final class NothingInIt implements MessageCheck {
  @Override
  public List<MessageFinding> look(Proofreading proof) {
    boolean empty =
        switch (proof.manuscript()) {
          case Manuscript.Email email -> email.parts().isEmpty();
          case Manuscript.Text text -> text.words().isBlank();
        };
    return empty
        ? List.of(
            MessageFinding.error(
                "nothing-in-it", Optional.empty(), "Nothing is written in it yet."))
        : List.of();
  }
}
