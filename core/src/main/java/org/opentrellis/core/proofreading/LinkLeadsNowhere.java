package org.opentrellis.core.proofreading;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.opentrellis.core.message.FoundLink;
import org.opentrellis.core.message.LinksIn;
import org.opentrellis.core.message.Target;
import org.opentrellis.core.message.WebAddress;

/** Every link leads somewhere: to a web address that is one, or to a file that is kept. */
final class LinkLeadsNowhere implements MessageCheck {
  private static final String CODE = "link-leads-nowhere";

  @Override
  public List<MessageFinding> look(Proofreading proof) {
    List<MessageFinding> findings = new ArrayList<>();
    for (FoundLink link : LinksIn.of(proof.manuscript())) {
      wrong(link, proof).ifPresent(findings::add);
    }
    return findings;
  }

  private static Optional<MessageFinding> wrong(FoundLink found, Proofreading proof) {
    String name = found.name().map(one -> "\u201c" + one + "\u201d").orElse("A link without words");
    if (found.link().to().isEmpty()) {
      return Optional.of(
          MessageFinding.error(CODE, found.part(), name + " leads nowhere: say where to."));
    }
    return switch (found.link().to().get()) {
      case Target.Web web -> ofAddress(name, web.address(), found);
      case Target.KeptFile file ->
          proof.file(file.file()).isPresent()
              ? Optional.empty()
              : Optional.of(
                  MessageFinding.error(
                      CODE,
                      found.part(),
                      "%s leads to the file \u201c%s\u201d, which is not there."
                          .formatted(name, file.file())));
      case Target.Cart cart -> Optional.empty();
      case Target.Choices choices -> Optional.empty();
      case Target.Unsubscribe unsubscribe -> Optional.empty();
    };
  }

  private static Optional<MessageFinding> ofAddress(String name, String address, FoundLink found) {
    Optional<String> refusal = WebAddress.refusal(address);
    if (refusal.isPresent()) {
      return Optional.of(
          MessageFinding.error(
              CODE, found.part(), "%s leads to %s.".formatted(name, refusal.get())));
    }
    return WebAddress.isHere(address)
        ? Optional.of(
            MessageFinding.warning(
                CODE,
                found.part(),
                "%s leads to %s, which is whatever machine they sit at: nothing is there."
                    .formatted(name, address)))
        : Optional.empty();
  }
}
