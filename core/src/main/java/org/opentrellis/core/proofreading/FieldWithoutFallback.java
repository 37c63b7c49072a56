package org.opentrellis.core.proofreading;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.UnaryOperator;
import org.opentrellis.core.journey.PartId;
import org.opentrellis.core.message.FieldsIn;
import org.opentrellis.core.message.FieldsMended;
import org.opentrellis.core.message.MergeField;
import org.opentrellis.core.message.Source;

/** Nobody ever sees an empty hole: a field that may be empty says what stands there otherwise. */
final class FieldWithoutFallback implements MessageCheck {
  private static final String CODE = "no-fallback";

  @Override
  public List<MessageFinding> look(Proofreading proof) {
    List<MessageFinding> findings = new ArrayList<>();
    for (FieldsIn.Found found : FieldsIn.of(proof.manuscript()).toList()) {
      MergeField field = found.field();
      if (field.mayLeaveAHole()) {
        findings.add(finding(field, found.part(), proof));
      }
    }
    return findings;
  }

  private static MessageFinding finding(
      MergeField field, Optional<PartId> part, Proofreading proof) {
    String fallback = usual(field.source());
    UnaryOperator<MergeField> filled =
        one -> one.equals(field) ? new MergeField(one.source(), fallback, one.format()) : one;
    return MessageFinding.error(
            CODE,
            part,
            "Whoever has no %s sees a hole%s: say what stands there for them."
                .formatted(field.source().said(), part.isEmpty() ? " above the letter" : ""))
        .fixedBy(
            "Write \u201c%s\u201d there".formatted(fallback),
            FieldsMended.in(proof.manuscript(), filled));
  }

  private static String usual(Source source) {
    return switch (source) {
      case Source.FirstName first -> "there";
      case Source.LastName last -> "reader";
      case Source.CartTotal cart -> "a little";
      case Source.OrderTotal order -> "a little";
      case Source.OfField field -> "yours";
      case Source.Address address -> "you";
      case Source.SenderName sender -> "us";
      case Source.AccountName account -> "us";
      case Source.Today today -> "today";
    };
  }
}
