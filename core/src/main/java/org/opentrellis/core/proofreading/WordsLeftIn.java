package org.opentrellis.core.proofreading;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.opentrellis.core.journey.PartId;
import org.opentrellis.core.message.Block;
import org.opentrellis.core.message.FieldsMended;
import org.opentrellis.core.message.Inline;
import org.opentrellis.core.message.Manuscript;
import org.opentrellis.core.message.OneLine;
import org.opentrellis.core.message.Part;

/** Words that were to be replaced are not sent: "TODO", "lorem ipsum", "[name]", "{first name}". */
final class WordsLeftIn implements MessageCheck {
  private static final Pattern LEFT =
      Pattern.compile(
          "(?i)lorem ipsum|\\bT[O0]DO\\b|\\bTBD\\b|\\bx{3,}\\b|\\?{3,}|\\[[a-z][a-z _-]{1,30}]|\\{+[a-z][a-z _.-]{1,40}}+");

  @Override
  public List<MessageFinding> look(Proofreading proof) {
    List<MessageFinding> findings = new ArrayList<>();
    switch (proof.manuscript()) {
      case Manuscript.Email email -> {
        look(said(email.subject()), Optional.empty(), "the subject", proof, findings);
        look(said(email.preview()), Optional.empty(), "the preview text", proof, findings);
        email
            .written()
            .forEach(part -> look(said(part), Optional.of(part.id()), "it", proof, findings));
      }
      case Manuscript.Text text ->
          look(said(text.words()), Optional.empty(), "it", proof, findings);
    }
    return findings;
  }

  private static void look(
      String words,
      Optional<PartId> part,
      String where,
      Proofreading proof,
      List<MessageFinding> findings) {
    Matcher left = LEFT.matcher(words);
    if (left.find()) {
      MessageFinding finding =
          MessageFinding.warning(
              "words-left-in",
              part,
              "\u201c%s\u201d in %s looks like something that was to be replaced."
                  .formatted(left.group(), where));
      findings.add(
          FieldsMended.firstName(proof.manuscript(), left.group())
              .map(mended -> finding.fixedBy("Put their first name there", mended))
              .orElse(finding));
    }
  }

  private static String said(Part part) {
    return switch (part) {
      case Part.Prose prose ->
          prose.blocks().stream()
              .flatMap(Block::lines)
              .map(WordsLeftIn::said)
              .collect(Collectors.joining("\n"));
      case Part.Button button -> said(button.words());
      case Part.Picture picture -> picture.words();
      case Part.Film film -> film.words();
      case Part.Countdown countdown -> countdown.words();
      case Part.Voucher voucher -> voucher.code();
      case Part.LinkRow row ->
          row.links().stream().map(Part.RowLink::words).collect(Collectors.joining("\n"));
      case Part.Columns columns -> "";
      case Part.Passage passage -> "";
      case Part.Rule rule -> "";
      case Part.Space space -> "";
      case Part.Products products -> "";
      case Part.News news -> "";
      case Part.OwnHtml html -> "";
    };
  }

  private static String said(OneLine line) {
    return said(line.words());
  }

  /** The words alone: what fields are filled with is not left in. */
  private static String said(List<Inline> words) {
    return words.stream()
        .flatMap(one -> one instanceof Inline.Words some ? Stream.of(some.text()) : Stream.of(" "))
        .collect(Collectors.joining());
  }
}
