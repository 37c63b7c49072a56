package org.opentrellis.core.reading;

import java.util.Collection;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.opentrellis.core.journey.FileName;
import org.opentrellis.core.journey.LinkName;
import org.opentrellis.core.message.Link;
import org.opentrellis.core.message.Target;
import org.opentrellis.core.message.WebAddress;

/** Reads what can be clicked: its words, its file and where it leads. */
final class LinkReader {
  /** Where words without quotation marks end. */
  private static final String ENDS =
      "(?=\\s+(to\\s+(file\\b|https?:|www\\.|[\\w-]+\\.\\w|their\\b|the cart\\b|your choices\\b|unsubscribe\\b)"
          + "|counted as\\b|words\\b|\\d+% wide\\b)|\\s*,|\\s*$)";

  private static final Pattern WORDS = Pattern.compile("((?:\\{[^{}]*}|[^{])+?)" + ENDS);
  private static final Pattern FILE = Pattern.compile("[^\\s\"\u201c,]+\\.[A-Za-z0-9]{2,4}");
  private static final Pattern ADDRESS =
      Pattern.compile("(?i)(https?://\\S+?|[\\w-]+(\\.[\\w-]+)+(/[^\\s,]*)?)(?=,?(\\s|$))");

  private final Cursor cursor;
  private final Collection<String> files;

  /**
   * @param files the names of the pictures and files that are kept
   */
  LinkReader(Cursor cursor, Collection<String> files) {
    this.cursor = cursor;
    this.files = files;
  }

  /** A file by its name; whether it is there is for the checks to say. */
  Optional<FileName> file() {
    files.forEach(one -> cursor.couldName(one, quoted(one), "file"));
    int from = cursor.at();
    if (cursor.atQuote()) {
      String name = cursor.quoted("the name of a file");
      return Optional.of(cursor.meaning(from, () -> new FileName(name)));
    }
    Optional<String> one = files.stream().filter(cursor::silently).findFirst();
    if (one.isPresent()) {
      return one.map(FileName::new);
    }
    Matcher bare = cursor.matches(FILE);
    return bare == null
        ? Optional.empty()
        : Optional.of(cursor.meaning(from, () -> new FileName(bare.group())));
  }

  private static String quoted(String name) {
    return name.contains(" ") ? "\u201c" + name + "\u201d" : name;
  }

  /**
   * Words as they stand there, in quotation marks or up to what follows.
   *
   * @param what they are, for those that are missing
   */
  String words(String what) {
    if (cursor.atQuote()) {
      return cursor.quoted(what);
    }
    Matcher words = cursor.matches(WORDS);
    if (words == null) {
      throw new NotUnderstood(
          "Here stands %s.".formatted(what), cursor.end(), cursor.given().length());
    }
    return words.group(1).strip();
  }

  /** Where a link leads, and what it is counted as; both may be left out. */
  Link leads() {
    Optional<Target> to = cursor.word("to") ? Optional.of(target()) : Optional.empty();
    Optional<LinkName> name = Optional.empty();
    if (to.isPresent() && cursor.word("counted as")) {
      int from = cursor.at();
      String said = words("what clicks on it are counted as");
      name = Optional.of(cursor.meaning(from, () -> new LinkName(said)));
    }
    return new Link(to, name);
  }

  private Target target() {
    if (cursor.word("file")) {
      int from = cursor.at();
      return new Target.KeptFile(
          file()
              .orElseThrow(
                  () ->
                      new NotUnderstood(
                          "Here stands the name of a file, such as hive-planner.pdf.",
                          from,
                          cursor.given().length())));
    }
    if (cursor.word("their cart") || cursor.says("(the|your) cart")) {
      return new Target.Cart();
    }
    if (cursor.word("their choices") || cursor.says("your choices")) {
      return new Target.Choices();
    }
    if (cursor.word("unsubscribe")) {
      return new Target.Unsubscribe();
    }
    cursor.could("https://");
    int from = cursor.at();
    Matcher address = cursor.matches(ADDRESS);
    if (address == null) {
      throw new NotUnderstood(
          "Here stands where it leads: a web address, \u201cfile \u2026\u201d, \u201ctheir cart\u201d or \u201ctheir choices\u201d.",
          from,
          cursor.given().length());
    }
    return cursor.meaning(from, () -> new Target.Web(WebAddress.completed(address.group())));
  }
}
