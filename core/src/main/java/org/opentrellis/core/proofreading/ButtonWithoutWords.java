package org.opentrellis.core.proofreading;

import java.util.List;
import java.util.Optional;
import org.opentrellis.core.message.Link;
import org.opentrellis.core.message.OneLine;
import org.opentrellis.core.message.Part;
import org.opentrellis.core.message.Target;

/** A button says what happens when it is pressed. */
final class ButtonWithoutWords implements MessageCheck {
  @Override
  public List<MessageFinding> look(Proofreading proof) {
    return proof.parts(Part.Button.class).stream()
        .filter(button -> button.words().isBlank())
        .map(
            button ->
                MessageFinding.error(
                        "button-without-words",
                        Optional.of(button.id()),
                        "Nothing stands on the button, so nobody knows what it is for.")
                    .fixedBy(
                        "Write \u201c" + words(button.link()) + "\u201d",
                        proof.with(
                            new Part.Button(
                                button.id(), OneLine.of(words(button.link())), button.link()))))
        .toList();
  }

  private static String words(Link link) {
    return link.to().map(ButtonWithoutWords::words).orElse("Read on");
  }

  private static String words(Target target) {
    return switch (target) {
      case Target.Web web -> "Read on";
      case Target.KeptFile file -> "Open it";
      case Target.Cart cart -> "Back to the cart";
      case Target.Choices choices -> "Choose what you get";
      case Target.Unsubscribe unsubscribe -> "Stop these letters";
    };
  }
}
