package org.opentrellis.core.proofreading;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.opentrellis.core.journey.ProductName;
import org.opentrellis.core.message.Part;
import org.opentrellis.core.message.Shown;

/** Products that are shown are chosen, and the shop sells them. */
final class ProductGone implements MessageCheck {
  private static final String CODE = "product-gone";

  @Override
  public List<MessageFinding> look(Proofreading proof) {
    List<MessageFinding> findings = new ArrayList<>();
    for (Part.Products one : proof.parts(Part.Products.class)) {
      if (one.which() instanceof Shown.Chosen chosen) {
        look(one, chosen, proof, findings);
      }
    }
    return findings;
  }

  private static void look(
      Part.Products part, Shown.Chosen chosen, Proofreading proof, List<MessageFinding> findings) {
    if (chosen.products().isEmpty()) {
      findings.add(
          MessageFinding.error(CODE, Optional.of(part.id()), "No product is chosen here.")
              .fixedBy("Take it out", proof.without(part.id())));
    }
    for (ProductName product : chosen.products()) {
      if (!proof.products().contains(product)) {
        List<ProductName> left =
            chosen.products().stream().filter(other -> !other.equals(product)).toList();
        Part.Products mended = new Part.Products(part.id(), new Shown.Chosen(left), part.most());
        findings.add(
            MessageFinding.error(
                    CODE,
                    Optional.of(part.id()),
                    "The shop sells no \u201c%s\u201d.".formatted(product))
                .fixedBy("Leave it out", proof.with(mended)));
      }
    }
  }
}
