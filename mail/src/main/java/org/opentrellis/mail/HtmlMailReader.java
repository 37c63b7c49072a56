package org.opentrellis.mail;

import java.util.ArrayList;
import java.util.Base64;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.jsoup.Jsoup;
import org.jsoup.nodes.Document;
import org.jsoup.nodes.Element;
import org.jsoup.nodes.Node;
import org.jsoup.nodes.TextNode;
import org.jspecify.annotations.Nullable;
import org.opentrellis.core.journey.Characters;
import org.opentrellis.core.journey.FileName;
import org.opentrellis.core.journey.PartId;
import org.opentrellis.core.message.Block;
import org.opentrellis.core.message.Inline;
import org.opentrellis.core.message.Link;
import org.opentrellis.core.message.Manuscript;
import org.opentrellis.core.message.OneLine;
import org.opentrellis.core.message.Part;
import org.opentrellis.core.message.StyleChange;
import org.opentrellis.core.message.Target;
import org.opentrellis.core.message.WebAddress;
import org.opentrellis.core.problem.Refused;

/**
 * Reads an HTML mail into parts: texts, pictures, links and buttons. What makes it up besides
 * (tables, styles) is left; what does something by itself is left out and told.
 */
public final class HtmlMailReader {
  private static final int LONGEST = 900_000;
  private static final int MOST_ELEMENTS = 20_000;
  private static final int MOST_PARTS = 200;
  private static final int LONGEST_TEXT = 5_000;
  private static final String NEVER =
      "script, style, noscript, template, form, iframe, frame, object, embed, svg, video, audio, link, meta, base";
  private static final Pattern HIDDEN =
      Pattern.compile(
          "(?i)display\\s*:\\s*none|max-height\\s*:\\s*0|font-size\\s*:\\s*0|opacity\\s*:\\s*0(;|$)");
  private static final Pattern LOOKS_PRESSABLE =
      Pattern.compile("(?i)background(-color)?\\s*:|padding\\s*:\\s*\\d{2}|border-radius");
  private static final Pattern DATA =
      Pattern.compile("(?i)data:image/[a-z+.-]+;base64,([A-Za-z0-9+/=\\s]+)");

  private final List<Part> parts = new ArrayList<>();
  private final List<Block> blocks = new ArrayList<>();
  private List<Inline> words = new ArrayList<>();
  private final Map<String, TakenFile> pictures = new LinkedHashMap<>();
  private final Map<String, Integer> left = new TreeMap<>();
  private int ids;

  private HtmlMailReader() {}

  /**
   * @throws Refused if it is too long, or nothing is in it
   */
  public static HtmlMail read(String html) {
    if (html.length() > LONGEST) {
      throw new Refused("bad-html", "an HTML mail has at most %,d characters".formatted(LONGEST));
    }
    Document page = Jsoup.parse(html);
    if (page.getAllElements().size() > MOST_ELEMENTS) {
      throw new Refused(
          "bad-html",
          "this page has %,d elements; a mail has at most %,d"
              .formatted(page.getAllElements().size(), MOST_ELEMENTS));
    }
    HtmlMailReader reader = new HtmlMailReader();
    String preview = reader.leaveOut(page);
    reader.walk(page.body());
    reader.endText();
    if (reader.parts.isEmpty()) {
      throw new Refused("bad-html", "nothing can be read in it: no text, no picture, no link");
    }
    return new HtmlMail(
        new Manuscript.Email(
            OneLine.of(clean(page.title(), 200)),
            OneLine.of(clean(preview, 200)),
            Optional.empty(),
            reader.parts,
            Optional.empty(),
            StyleChange.NONE),
        reader.pictures,
        reader.told());
  }

  /** Takes out what is never kept; what is hidden at the beginning is the preview text. */
  private String leaveOut(Document page) {
    for (Element gone : page.select(NEVER)) {
      count(gone.normalName());
      gone.remove();
    }
    String preview = "";
    for (Element element : page.body().getAllElements()) {
      if (HIDDEN.matcher(element.attr("style")).find() && element.parent() != null) {
        if (preview.isEmpty()) {
          preview = element.text();
        }
        element.remove();
      }
    }
    return preview.replaceAll("[\\u00a0\\u200b-\\u200f\\u034f\\ufeff\\u00ad]+", " ").strip();
  }

  private void count(String what) {
    left.merge(what, 1, Integer::sum);
  }

  /** Goes through the page without calling itself, however deep it is. */
  private void walk(Element body) {
    Node node = body.childNodeSize() == 0 ? null : body.childNode(0);
    while (node != null && parts.size() < MOST_PARTS) {
      boolean whole = enter(node);
      Node next = !whole && node.childNodeSize() > 0 ? node.childNode(0) : null;
      while (next == null && node != body) {
        if (!whole && node instanceof Element element && isBlock(element)) {
          endParagraph(element);
        }
        whole = false;
        next = node.nextSibling();
        if (next == null) {
          node = node.parent();
          if (node == null || node == body) {
            break;
          }
        }
      }
      node = next;
    }
    if (parts.size() >= MOST_PARTS) {
      count("more than " + MOST_PARTS + " parts");
    }
  }

  /** Whether a node was taken as a whole, so that what is in it is not looked at. */
  private boolean enter(Node node) {
    if (node instanceof TextNode text) {
      say(text.text(), Optional.empty());
      return true;
    }
    if (!(node instanceof Element element)) {
      return true;
    }
    return switch (element.normalName()) {
      case "img" -> {
        picture(element, Optional.empty());
        yield true;
      }
      case "hr" -> {
        endText();
        parts.add(new Part.Rule(id()));
        yield true;
      }
      case "br" -> {
        words.add(new Inline.Break());
        yield true;
      }
      case "a" -> {
        link(element);
        yield true;
      }
      case "ul", "ol" -> {
        list(element);
        yield true;
      }
      default -> {
        if (isBlock(element)) {
          endParagraph(null);
        }
        yield false;
      }
    };
  }

  private static boolean isBlock(Element element) {
    return element.isBlock() || element.normalName().matches("td|th|tr|table|tbody|center");
  }

  private void say(String text, Optional<Link> link) {
    String said = clean(text, LONGEST_TEXT);
    if (!said.isEmpty() && !(said.isBlank() && words.isEmpty())) {
      words.add(new Inline.Words(said, false, false, link));
    }
  }

  private void endParagraph(@Nullable Element ending) {
    while (!words.isEmpty() && isEmpty(words.getLast())) {
      words.removeLast();
    }
    if (!words.isEmpty()) {
      String name = ending == null ? "" : ending.normalName();
      blocks.add(
          name.matches("h[1-6]")
              ? new Block.Heading(Math.min(3, name.charAt(1) - '0'), words)
              : new Block.Paragraph(words));
      words = new ArrayList<>();
    }
  }

  private static boolean isEmpty(Inline one) {
    return one instanceof Inline.Break || one instanceof Inline.Words some && some.text().isBlank();
  }

  private void endText() {
    endParagraph(null);
    if (!blocks.isEmpty()) {
      parts.add(new Part.Prose(id(), blocks));
      blocks.clear();
    }
  }

  private void list(Element list) {
    endParagraph(null);
    List<Block.Item> items = new ArrayList<>();
    for (Element item : list.select("li")) {
      String said = clean(item.text(), LONGEST_TEXT);
      if (!said.isBlank() && items.size() < MOST_PARTS) {
        items.add(new Block.Item(List.of(Inline.Words.plain(said))));
      }
    }
    if (!items.isEmpty()) {
      blocks.add(new Block.Items(list.normalName().equals("ol"), items));
    }
  }

  private void link(Element element) {
    Optional<Link> to = target(element.attr("href"));
    Element picture = element.selectFirst("img");
    String said = clean(element.text(), 200).strip();
    if (picture != null && said.isEmpty()) {
      picture(picture, to);
    } else if (!said.isEmpty() && to.isPresent() && isButton(element)) {
      endText();
      parts.add(new Part.Button(id(), OneLine.of(said), to.get()));
    } else {
      say(element.text(), to);
    }
  }

  private Optional<Link> target(String address) {
    if (address.isBlank() || address.startsWith("#")) {
      return Optional.empty();
    }
    if (WebAddress.refusal(address.strip()).isPresent() || address.length() > 2000) {
      count("links that lead to no web address");
      return Optional.of(Link.NOWHERE);
    }
    return Optional.of(Link.to(new Target.Web(address.strip())));
  }

  /** What looks as if it could be pressed, by its own style or that of the cell around it. */
  private static boolean isButton(Element link) {
    Element cell = link.parent();
    boolean alone = cell != null && cell.text().strip().equals(link.text().strip());
    return LOOKS_PRESSABLE.matcher(link.attr("style")).find()
        || link.className().toLowerCase(Locale.ROOT).matches(".*(button|btn|cta).*")
        || alone && cell.hasAttr("bgcolor")
        || alone
            && LOOKS_PRESSABLE.matcher(cell.attr("style")).find()
            && cell.normalName().equals("td");
  }

  private void picture(Element img, Optional<Link> link) {
    String width = img.attr("width") + img.attr("height");
    if (width.matches("[01]{1,2}(px)?[01]?(px)?")) {
      count("invisible pictures that tell when a mail is opened");
      return;
    }
    endText();
    parts.add(
        new Part.Picture(id(), embedded(img.attr("src")), clean(img.attr("alt"), 300), link, 100));
  }

  /** A picture that stands in the page itself; those of other places are not fetched. */
  private Optional<FileName> embedded(String source) {
    Matcher data = DATA.matcher(source);
    if (!data.matches()) {
      count("pictures that lie elsewhere: choose them anew");
      return Optional.empty();
    }
    try {
      byte[] bytes = Base64.getMimeDecoder().decode(data.group(1));
      TakenFile taken = FileIntake.take("picture-" + (pictures.size() + 1), bytes);
      pictures.put(taken.name(), taken);
      return Optional.of(new FileName(taken.name()));
    } catch (Refused | IllegalArgumentException broken) {
      count("pictures that cannot be read");
      return Optional.empty();
    }
  }

  private PartId id() {
    ids++;
    return new PartId("p" + ids);
  }

  /** Without what no text may hold, and no longer than it may be. */
  private static String clean(String text, int most) {
    StringBuilder clean = new StringBuilder();
    text.codePoints()
        .map(point -> Character.isWhitespace(point) || point == 0xA0 ? ' ' : point)
        .filter(point -> Characters.refusal("x" + Character.toString(point)).isEmpty())
        .limit(most)
        .forEach(clean::appendCodePoint);
    String cut = clean.length() > most ? clean.substring(0, most - 1) : clean.toString();
    return cut.replaceAll(" +", " ");
  }

  private List<String> told() {
    return left.entrySet().stream()
        .map(
            one ->
                one.getKey().contains(" ")
                    ? "%,d %s.".formatted(one.getValue(), one.getKey())
                    : "%,d \u201c%s\u201d %s left out."
                        .formatted(
                            one.getValue(), one.getKey(), one.getValue() == 1 ? "was" : "were"))
        .toList();
  }
}
