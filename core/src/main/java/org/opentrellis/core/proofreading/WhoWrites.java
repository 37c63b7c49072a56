package org.opentrellis.core.proofreading;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.opentrellis.core.message.Manuscript;

/** A mail says who writes and where they are: the law of most countries asks for both. */
final class WhoWrites implements MessageCheck {
  private static final String CODE = "who-writes";

  @Override
  public List<MessageFinding> look(Proofreading proof) {
    List<MessageFinding> findings = new ArrayList<>();
    proof.email().forEach(email -> look(email, proof, findings));
    return findings;
  }

  private static void look(
      Manuscript.Email email, Proofreading proof, List<MessageFinding> findings) {
    if (proof.head().postalAddress().isBlank()) {
      findings.add(error("Below the letter stands no postal address: say it on the page Account."));
    }
    if (proof.senders().isEmpty()) {
      findings.add(
          error("Nobody is there to send it: say on the page Account who emails come from."));
    } else if (email.sender().isPresent()
        && proof.senders().stream().noneMatch(email.sender().get()::equalsIgnoreCase)) {
      findings.add(
          error(
                  "It comes from %s, who is no sender of the account any more."
                      .formatted(email.sender().get()))
              .fixedBy(
                  "Let " + proof.senders().getFirst() + " send it",
                  email.withSender(Optional.empty())));
    }
  }

  private static MessageFinding error(String sentence) {
    return MessageFinding.error(CODE, Optional.empty(), sentence);
  }
}
