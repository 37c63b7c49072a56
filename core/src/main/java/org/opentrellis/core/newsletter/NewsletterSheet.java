package org.opentrellis.core.newsletter;

import java.time.ZoneId;
import java.time.format.DateTimeFormatter;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.function.Function;
import org.opentrellis.core.journey.Catalogue;
import org.opentrellis.core.journey.JourneyName;
import org.opentrellis.core.journey.MessageId;
import org.opentrellis.core.sentence.Sentences;
import org.opentrellis.core.sentence.Style;

/** What a newsletter does, as sentences to be read aloud. */
public final class NewsletterSheet {
  private static final DateTimeFormatter DAY =
      DateTimeFormatter.ofPattern("EEE d MMMM uuuu", Locale.ENGLISH);

  private final Newsletter newsletter;
  private final Function<MessageId, String> messages;
  private final Sentences people;

  private NewsletterSheet(
      Newsletter newsletter, Function<MessageId, String> messages, Sentences people) {
    this.newsletter = newsletter;
    this.messages = messages;
    this.people = people;
  }

  /**
   * In the order in which things happen.
   *
   * @param messages what messages are called
   * @param catalogue with the segments that are asked about
   * @param zone the account's
   */
  public static List<String> of(
      Newsletter newsletter,
      Function<MessageId, String> messages,
      Catalogue catalogue,
      ZoneId zone) {
    return of(newsletter, when(newsletter, zone), messages, catalogue);
  }

  /** The same of what goes out at times that another says. */
  public static List<String> of(
      Newsletter newsletter,
      String when,
      Function<MessageId, String> messages,
      Catalogue catalogue) {
    NewsletterSheet sheet =
        new NewsletterSheet(newsletter, messages, Sentences.ofPeople(catalogue));
    List<String> lines = new ArrayList<>();
    lines.add("Sends " + sheet.message() + " " + sheet.whom() + ".");
    sheet.butNot().ifPresent(lines::add);
    lines.add(when);
    newsletter.subjects().ifPresent(tried -> lines.add(sheet.tried(tried)));
    newsletter.text().ifPresent(text -> lines.add(sheet.text(text)));
    newsletter.onceMore().ifPresent(again -> lines.add(onceMore(again)));
    newsletter.sender().ifPresent(from -> lines.add("Comes from " + from + "."));
    return lines;
  }

  private String message() {
    return newsletter
        .message()
        .map(id -> Style.quoted(messages.apply(id)))
        .orElse("no message yet");
  }

  private String whom() {
    return newsletter.who().map(this::those).orElse("to nobody yet");
  }

  private String those(Readers readers) {
    return readers
        .asked()
        .map(who -> "to those who " + people.condition(who).text())
        .orElse("to everybody who may be mailed");
  }

  private Optional<String> butNot() {
    List<String> those = new ArrayList<>();
    newsletter.butNot().ifPresent(who -> those.add("to those who " + people.condition(who).text()));
    if (!newsletter.notInside().isEmpty()) {
      those.add(
          "to those who are inside "
              + either(newsletter.notInside().stream().map(JourneyName::value).toList())
              + " when it goes out");
    }
    return those.isEmpty()
        ? Optional.empty()
        : Optional.of("Does not go " + String.join(", nor ", those) + ".");
  }

  private static String either(List<String> names) {
    return names.size() == 1
        ? names.getFirst()
        : String.join(", ", names.subList(0, names.size() - 1)) + " or " + names.getLast();
  }

  private static String when(Newsletter newsletter, ZoneId zone) {
    String over = over(newsletter.overHours());
    return newsletter
        .going()
        .map(
            going ->
                "Goes out on %s at %s %s%s."
                    .formatted(
                        DAY.format(going.date()),
                        going.at(),
                        going.theirTime() ? "by each person\u2019s own clock" : "in " + zone,
                        over))
        .orElse("Goes out at no time yet" + over + ".");
  }

  /** Over how long it goes out, behind when; empty for all at once. */
  public static String over(int hours) {
    return hours == 0
        ? ""
        : hours == 1
            ? ", over an hour"
            : ", over %d hours, about a %s of them each hour".formatted(hours, part(hours));
  }

  private static String part(int hours) {
    return switch (hours) {
      case 2 -> "half";
      case 3 -> "third";
      case 4 -> "quarter";
      default -> hours + "th";
    };
  }

  private String tried(SubjectTest tried) {
    List<String> subjects = new ArrayList<>();
    subjects.add("the message\u2019s own subject");
    tried.others().forEach(one -> subjects.add(one.isBlank() ? "none yet" : Style.quoted(one)));
    return "Tries %s on %d%% of them first; %s later the one that more people %s goes to the rest. If the difference could be chance, the first does."
        .formatted(
            String.join(", ", subjects.subList(0, subjects.size() - 1))
                + " and "
                + subjects.getLast(),
            tried.sharePercent(),
            hours(tried.hours()),
            tried.by() == SubjectTest.By.OPENED ? "opened" : "clicked");
  }

  private String text(TextAfter text) {
    String what = text.text().map(id -> Style.quoted(messages.apply(id))).orElse("no text yet");
    String who =
        switch (text.to()) {
          case NOT_OPENED -> "and have not opened it";
          case NOT_CLICKED -> "and have not clicked in it";
          case ALL_WHO_AGREED -> "";
        };
    return "%s sends %s to the phones of those who agreed to texts %s"
            .formatted(text.hours() == 0 ? "At once" : hours(text.hours()) + " after it", what, who)
            .strip()
            .replaceFirst("^a", "A")
        + ".";
  }

  private static String onceMore(OnceMore again) {
    return "%s after it goes once more to those who have not opened it, under %s."
        .formatted(
            hours(again.hours()).replaceFirst("^a", "A"),
            again.subject().isBlank() ? "no subject yet" : Style.quoted(again.subject()));
  }

  private static String hours(int hours) {
    if (hours == 1) {
      return "an hour";
    }
    return hours % 24 == 0 ? hours == 24 ? "a day" : hours / 24 + " days" : hours + " hours";
  }
}
