package org.opentrellis.app.letters;

import java.nio.charset.StandardCharsets;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.Set;
import org.opentrellis.app.account.Account;
import org.opentrellis.app.account.AccountWriter;
import org.opentrellis.app.catalogue.Catalogues;
import org.opentrellis.core.account.Sender;
import org.opentrellis.core.account.Texting;
import org.opentrellis.core.format.Documents;
import org.opentrellis.core.journey.PartId;
import org.opentrellis.core.journey.TextSegments;
import org.opentrellis.core.message.Filling;
import org.opentrellis.core.message.Letterhead;
import org.opentrellis.core.message.Manuscript;
import org.opentrellis.core.message.OneLine;
import org.opentrellis.core.message.Part;
import org.opentrellis.core.message.Passages;
import org.opentrellis.core.message.PlainText;
import org.opentrellis.core.message.StyleChange;
import org.opentrellis.core.problem.ProblemsFound;
import org.opentrellis.core.sentence.Sentences;
import org.opentrellis.mail.LetterPress;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Shows messages as somebody will see them, while they are written. Keeps nothing. */
@Service
@Transactional(readOnly = true)
class Proofs {
  private final HouseStyles styles;
  private final Account account;
  private final Recipients recipients;
  private final Catalogues catalogues;
  private final ProofAddresses addresses;
  private final TextCosts texts;

  Proofs(
      HouseStyles styles,
      Account account,
      Recipients recipients,
      Catalogues catalogues,
      ProofAddresses addresses,
      TextCosts texts) {
    this.styles = styles;
    this.account = account;
    this.recipients = recipients;
    this.catalogues = catalogues;
    this.addresses = addresses;
    this.texts = texts;
  }

  /**
   * @throws ProblemsFound if the manuscript cannot be read
   */
  ProofView of(ProofOrder order) {
    Manuscript manuscript =
        ProblemsFound.within("/manuscript", () -> Documents.readManuscript(order.manuscript()));
    return switch (manuscript) {
      case Manuscript.Email email -> email(email, order);
      case Manuscript.Text text -> text(text, order);
    };
  }

  /** The size of an email's HTML with all passages, in bytes; 0 for a text. */
  OptionalInt largest(Manuscript manuscript) {
    if (!(manuscript instanceof Manuscript.Email email)) {
      return OptionalInt.of(0);
    }
    AccountWriter writer = account.writer();
    Optional<Sender> sender = Senders.of(email, writer);
    Letterhead head = styles.letterhead();
    Whoever reader = recipients.madeUp(MadeUpPerson.NOBODY, email, writer, sender);
    Set<PartId> all = new HashSet<>();
    email.allParts().map(Part::id).forEach(all::add);
    String html =
        LetterPress.print(email, head, all)
            .fill(new Filling(reader, head.regional()), reader, addresses);
    return OptionalInt.of(html.getBytes(StandardCharsets.UTF_8).length);
  }

  private ProofView email(Manuscript.Email email, ProofOrder order) {
    AccountWriter writer = account.writer();
    Optional<Sender> sender = Senders.of(email, writer);
    Letterhead head = styles.letterhead();
    Whoever reader = reader(order, email, writer, sender);
    Filling filling = new Filling(reader, head.regional());
    Set<PartId> holding = Passages.holding(email, reader);
    String html =
        LetterPress.proof(email, head, holding, order.dark()).fill(filling, reader, addresses);
    return new ProofView(
        reader.called(),
        sender.map(Sender::name).orElse(""),
        sender.map(one -> one.address().value()).orElse(""),
        filling.of(email.subject()),
        filling.of(email.preview()),
        html,
        PlainText.of(email, head, reader, addresses),
        email.allParts().map(part -> part.id().value()).toList(),
        passages(email, holding),
        html.getBytes(StandardCharsets.UTF_8).length,
        null);
  }

  private ProofView text(Manuscript.Text text, ProofOrder order) {
    AccountWriter writer = account.writer();
    Manuscript.Email nothing =
        new Manuscript.Email(
            OneLine.EMPTY,
            OneLine.EMPTY,
            Optional.empty(),
            List.of(),
            Optional.empty(),
            StyleChange.NONE);
    Whoever reader = reader(order, nothing, writer, Optional.empty());
    Texting texting = account.texting();
    String words = texting.ended(new Filling(reader, writer.regional()).of(text.words()));
    int most = texts.segments(text);
    return new ProofView(
        reader.called(),
        texting.sender(),
        "",
        "",
        "",
        "",
        words,
        List.of(),
        List.of(),
        words.getBytes(StandardCharsets.UTF_8).length,
        new ProofView.ProofText(
            TextSegments.of(words), most, texts.price(most).orElse(null), texting.stop()));
  }

  private Whoever reader(
      ProofOrder order, Manuscript.Email email, AccountWriter writer, Optional<Sender> sender) {
    return order.person() == null
        ? recipients.madeUp(
            order.made() == null ? MadeUpPerson.NOBODY : order.made(), email, writer, sender)
        : recipients.shown(order.person(), writer, sender);
  }

  private List<ProofView.ProofPassage> passages(Manuscript.Email email, Set<PartId> holding) {
    Sentences sentences = Sentences.ofPeople(catalogues.current());
    return email
        .allParts()
        .filter(Part.Passage.class::isInstance)
        .map(Part.Passage.class::cast)
        .map(
            passage ->
                new ProofView.ProofPassage(
                    passage.id().value(),
                    holding.contains(passage.id()),
                    "only if they " + sentences.condition(passage.who()).text()))
        .toList();
  }
}
