package org.opentrellis.core.proofreading;

import java.util.Comparator;
import java.util.List;

/** All checks of messages. */
public final class MessageChecks {
  private static final List<MessageCheck> ALL =
      List.of(
          new NothingInIt(),
          new SubjectLine(),
          new PreviewText(),
          new FieldWithoutFallback(),
          new LinkLeadsNowhere(),
          new AskedLinkGone(),
          new WhoWrites(),
          new ButtonWithoutWords(),
          new PictureMissing(),
          new PictureWithoutWords(),
          new PictureTooHeavy(),
          new ProductGone(),
          new VoucherOver(),
          new CountdownOver(),
          new PassageUnknowable(),
          new HardToRead(),
          new WordsLeftIn(),
          new LinksOfOneName(),
          new SpeaksOfAttachment(),
          new NewsInIssuesOnly(),
          new HtmlWithScripts(),
          new SameSubject(),
          new SeveralSegments(),
          new HowToStop(),
          new TooLarge());

  private MessageChecks() {}

  static List<MessageCheck> all() {
    return ALL;
  }

  /** What all checks find, errors first. */
  public static List<MessageFinding> run(Proofreading proof) {
    return ALL.stream()
        .flatMap(check -> check.look(proof).stream())
        .sorted(Comparator.comparing(MessageFinding::severity))
        .toList();
  }
}
