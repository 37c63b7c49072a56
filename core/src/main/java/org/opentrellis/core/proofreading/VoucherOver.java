package org.opentrellis.core.proofreading;

import java.time.temporal.TemporalAdjusters;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.opentrellis.core.message.Part;

/** A voucher has a code, and still holds. */
final class VoucherOver implements MessageCheck {
  @Override
  public List<MessageFinding> look(Proofreading proof) {
    List<MessageFinding> findings = new ArrayList<>();
    for (Part.Voucher one : proof.parts(Part.Voucher.class)) {
      if (one.code().isBlank()) {
        findings.add(
            MessageFinding.error(
                "voucher-without-code",
                Optional.of(one.id()),
                "The voucher has no code, so nobody can use it."));
      }
      if (one.until().isPresent() && one.until().get().isBefore(proof.today())) {
        Part.Voucher longer =
            new Part.Voucher(
                one.id(),
                one.code(),
                one.worth(),
                Optional.of(proof.today().with(TemporalAdjusters.lastDayOfMonth())));
        findings.add(
            MessageFinding.error(
                    "voucher-over",
                    Optional.of(one.id()),
                    "The voucher ended on %s: whoever gets it now can do nothing with it."
                        .formatted(one.until().get()))
                .fixedBy("Let it hold until the end of this month", proof.with(longer)));
      }
    }
    return findings;
  }
}
