package org.opentrellis.app.letters;

import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.opentrellis.app.account.Account;
import org.opentrellis.app.account.AccountWriter;
import org.opentrellis.core.format.Documents;
import org.opentrellis.core.journey.PartId;
import org.opentrellis.core.message.Block;
import org.opentrellis.core.message.Filling;
import org.opentrellis.core.message.HouseStyle;
import org.opentrellis.core.message.Inline;
import org.opentrellis.core.message.Letterhead;
import org.opentrellis.core.message.Link;
import org.opentrellis.core.message.Manuscript;
import org.opentrellis.core.message.OneLine;
import org.opentrellis.core.message.Part;
import org.opentrellis.core.message.StyleChange;
import org.opentrellis.core.message.Target;
import org.opentrellis.core.problem.ProblemsFound;
import org.opentrellis.mail.LetterPress;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;
import tools.jackson.databind.JsonNode;

/** A letter that shows how a style looks. */
@Component
@Transactional(readOnly = true)
class StyleSamples {
  private final Account account;
  private final Recipients recipients;
  private final ProofAddresses addresses;

  StyleSamples(Account account, Recipients recipients, ProofAddresses addresses) {
    this.account = account;
    this.recipients = recipients;
    this.addresses = addresses;
  }

  /**
   * @throws ProblemsFound if it is no style
   */
  String in(JsonNode style, boolean dark) {
    HouseStyle read = ProblemsFound.within("/style", () -> Documents.readHouseStyle(style));
    AccountWriter writer = account.writer();
    Letterhead head =
        new Letterhead(writer.name(), writer.postalAddress(), writer.regional(), read);
    Whoever nobody =
        recipients.madeUp(
            MadeUpPerson.NOBODY, SAMPLE, writer, writer.senders().stream().findFirst());
    return LetterPress.proof(SAMPLE, head, Set.of(), dark)
        .fill(new Filling(nobody, writer.regional()), nobody, addresses);
  }

  private static final Manuscript.Email SAMPLE =
      new Manuscript.Email(
          OneLine.of("A letter in this style"),
          OneLine.EMPTY,
          Optional.empty(),
          List.of(
              prose(1, new Block.Heading(1, OneLine.of("A heading of the first size").words())),
              prose(
                  2,
                  new Block.Paragraph(
                      List.of(
                          Inline.Words.plain(
                              "A paragraph, long enough to show how lines follow each other, with "),
                          new Inline.Words(
                              "a link in it",
                              false,
                              false,
                              Optional.of(Link.to(new Target.Choices()))),
                          Inline.Words.plain(", "),
                          new Inline.Words("bold words", true, false, Optional.empty()),
                          Inline.Words.plain(" and others that lean.")))),
              new Part.Button(
                  new PartId("3"), OneLine.of("A button"), Link.to(new Target.Choices())),
              new Part.Rule(new PartId("4")),
              new Part.Columns(
                  new PartId("5"),
                  List.of(
                      new Part.Column(
                          List.of(
                              prose(6, new Block.Heading(2, OneLine.of("On the left").words())),
                              prose(7, Block.paragraph("One column.")))),
                      new Part.Column(
                          List.of(
                              prose(8, new Block.Heading(2, OneLine.of("On the right").words())),
                              prose(9, Block.paragraph("And the other.")))))),
              new Part.Voucher(new PartId("10"), "SPRING", "15%", Optional.empty())),
          Optional.empty(),
          StyleChange.NONE);

  private static Part.Prose prose(int id, Block block) {
    return new Part.Prose(new PartId(Integer.toString(id)), List.of(block));
  }
}
