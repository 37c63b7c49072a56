package org.opentrellis.core.proofreading;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.opentrellis.core.message.Colour;
import org.opentrellis.core.message.Contrasts;
import org.opentrellis.core.message.Manuscript;
import org.opentrellis.core.message.Palette;
import org.opentrellis.core.message.StyleChange;

/** What is written can be read: the contrast that WCAG 2.2 asks for (1.4.3 and 1.4.11). */
final class HardToRead implements MessageCheck {
  private static final double OF_TEXT = 4.5;

  @Override
  public List<MessageFinding> look(Proofreading proof) {
    List<MessageFinding> findings = new ArrayList<>();
    proof
        .email()
        .forEach(
            email -> {
              Palette colours = proof.head().style().with(email.style()).colours();
              Contrasts.of(colours).stream()
                  .filter(pair -> !pair.enough())
                  .forEach(pair -> findings.add(finding(pair, email, colours)));
            });
    return findings;
  }

  private static MessageFinding finding(
      Contrasts.Pair pair, Manuscript.Email email, Palette colours) {
    return MessageFinding.warning("hard-to-read", Optional.empty(), pair.sentence())
        .fixedBy("Make it readable in this message", email.withStyle(readable(email, colours)));
  }

  /** The nearest colours that are read well; darker or lighter than those of the house. */
  private static StyleChange readable(Manuscript.Email email, Palette colours) {
    StyleChange now = email.style();
    Colour ink = both(colours.ink(), colours);
    Colour link = both(colours.link(), colours);
    Colour button = colours.button().readableOn(colours.paper(), 3);
    Colour buttonInk = colours.buttonInk().readableOn(button, OF_TEXT);
    return new StyleChange(
        now.ground(),
        now.paper(),
        changed(ink, colours.ink(), now.ink()),
        changed(link, colours.link(), now.link()),
        changed(button, colours.button(), now.button()),
        changed(buttonInk, colours.buttonInk(), now.buttonInk()),
        now.typeface(),
        now.shape());
  }

  private static Colour both(Colour colour, Palette colours) {
    return colour.readableOn(colours.paper(), OF_TEXT).readableOn(colours.ground(), OF_TEXT);
  }

  private static Optional<Colour> changed(Colour now, Colour was, Optional<Colour> already) {
    return now.equals(was) ? already : Optional.of(now);
  }
}
