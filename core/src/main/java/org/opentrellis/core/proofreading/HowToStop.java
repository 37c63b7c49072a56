package org.opentrellis.core.proofreading;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.opentrellis.core.message.Manuscript;

/** A text says who it comes from, and how to get no more of them. */
final class HowToStop implements MessageCheck {
  private static final String CODE = "how-to-stop";

  @Override
  public List<MessageFinding> look(Proofreading proof) {
    if (!(proof.manuscript() instanceof Manuscript.Text)) {
      return List.of();
    }
    List<MessageFinding> findings = new ArrayList<>();
    if (proof.texting().sender().isEmpty()) {
      findings.add(
          error("Nobody is there to send it: say on the page Account who texts are from."));
    }
    if (proof.texting().stop().isEmpty()) {
      findings.add(error("Nothing says how to get no more texts: say it on the page Account."));
    }
    proof.texting().cannotStop().ifPresent(why -> findings.add(error(why)));
    return findings;
  }

  private static MessageFinding error(String sentence) {
    return MessageFinding.error(CODE, Optional.empty(), sentence);
  }
}
