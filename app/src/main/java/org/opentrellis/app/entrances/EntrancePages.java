package org.opentrellis.app.entrances;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import org.opentrellis.app.account.Account;
import org.opentrellis.app.account.AccountWriter;
import org.opentrellis.app.files.KeptFileView;
import org.opentrellis.app.files.KeptFiles;
import org.opentrellis.app.http.Templates;
import org.opentrellis.app.letters.PartsPages;
import org.opentrellis.app.names.NamedField;
import org.opentrellis.app.names.RegisteredNames;
import org.opentrellis.core.entrance.Asked;
import org.opentrellis.core.entrance.Entrance;
import org.opentrellis.core.journey.FileName;
import org.opentrellis.core.journey.MessageId;
import org.springframework.core.io.ClassPathResource;
import org.springframework.stereotype.Component;
import org.thymeleaf.TemplateEngine;
import org.thymeleaf.context.Context;

/** Writes the pages of entrances, which work without scripts. */
@Component
class EntrancePages {
  /** Nobody sees it; programs that fill in whatever there is do. */
  static final String TRAP = "website";

  static final String SEAL = "seal";

  private final TemplateEngine engine = Templates.in("entrances");
  private final String style = read("entrances/entrance.css");
  private final String card = read("entrances/card.js");
  private final Account account;
  private final RegisteredNames names;
  private final PartsPages parts;
  private final KeptFiles files;

  EntrancePages(Account account, RegisteredNames names, PartsPages parts, KeptFiles files) {
    this.account = account;
    this.names = names;
    this.parts = parts;
    this.files = files;
  }

  /**
   * The form.
   *
   * @param typed what stands in it already, by its own names
   * @param problems what is wrong with that, by the same
   * @param note said above it; empty for nothing
   */
  String form(
      Entrance entrance,
      String seal,
      Map<String, String> typed,
      Map<String, String> problems,
      String note) {
    return around(entrance, write("form", given(entrance, seal, typed, problems, note)));
  }

  /** With the parts that stand above the form. */
  private String around(Entrance entrance, String form) {
    return entrance
        .above()
        .flatMap(parts::html)
        .map(above -> PartsAbove.put(above, form))
        .orElse(form);
  }

  /** The parts of a message as a page of their own, and below them what else is said. */
  Optional<String> parts(MessageId message, String title, String words, Optional<String> file) {
    return parts.html(message).map(page -> PartsAbove.put(page, says(title, words, file)));
  }

  /** A page that says something, and hands out a file, if one is named. */
  String says(String title, String words, Optional<String> file) {
    return write(
        "words",
        Map.of(
            "title",
            title,
            "lines",
            words.lines().filter(line -> !line.isBlank()).toList(),
            "file",
            file.flatMap(name -> files.find(new FileName(name)))
                .map(KeptFileView::address)
                .orElse("")));
  }

  /** The form as it begins, in a page that needs nothing but itself. */
  String picture(Entrance entrance) {
    Map<String, Object> values = given(entrance, "", Map.of(), Map.of(), "");
    values.put("style", style);
    return around(entrance, write("form", values));
  }

  private Map<String, Object> given(
      Entrance entrance,
      String seal,
      Map<String, String> typed,
      Map<String, String> problems,
      String note) {
    return new HashMap<>(
        Map.of(
            "title", entrance.title(),
            "entrance", entrance,
            "questions", Question.of(entrance, fields()),
            "seal", seal,
            "typed", typed,
            "problems", problems,
            "note", note));
  }

  /** What makes a form slide in on somebody's site. */
  String card() {
    return card;
  }

  /** How the pages look, as CSS. */
  String style() {
    return style;
  }

  /** A page that says something, a paragraph for each line. */
  String words(String title, String words) {
    return says(title, words, Optional.empty());
  }

  /** For whoever comes too often. */
  String tooFast() {
    return words("Too fast", "That was a bit fast. Please try again in a moment.");
  }

  /** A page with a button that does what it says: a link alone changes nothing. */
  String button(String title, String words, String button) {
    return write(
        "button", Map.of("title", title, "words", words, "button", button, "stops", false));
  }

  /** A page whose button unsubscribes, as one click in a mail program does. */
  String stops(String title, String words, String button) {
    return write("button", Map.of("title", title, "words", words, "button", button, "stops", true));
  }

  /** Writes a page that asks something. */
  String asks(String page, List<Asked> asks, Map<String, ?> others) {
    Map<String, Object> values = new HashMap<>(others);
    values.put("questions", Question.of(asks, fields()));
    return write(page, values);
  }

  private Map<String, NamedField> fields() {
    return names.fields().stream().collect(Collectors.toMap(NamedField::name, one -> one));
  }

  /** The mail that asks whether it was they, as HTML. */
  String mail(Entrance entrance, String subject, String link, AccountWriter writer) {
    return write(
        "mail",
        Map.of(
            "title",
            subject,
            "about",
            entrance.title(),
            "link",
            link,
            "address",
            writer.postalAddress().lines().toList()));
  }

  private static String read(String path) {
    try {
      return new ClassPathResource(path).getContentAsString(StandardCharsets.UTF_8);
    } catch (IOException missing) {
      throw new UncheckedIOException(missing);
    }
  }

  private String write(String page, Map<String, Object> values) {
    Context context = new Context(Locale.ENGLISH, values);
    context.setVariable("account", account.writer().name());
    return engine.process(page, context);
  }
}
