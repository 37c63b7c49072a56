package org.opentrellis.core.proofreading;

import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.jsoup.Jsoup;
import org.jsoup.nodes.Attribute;
import org.jsoup.nodes.Document;
import org.jsoup.nodes.Element;
import org.jsoup.safety.Safelist;
import org.opentrellis.core.message.Part;

/** What mail programs never run is taken out of own HTML before it is sent, and said before. */
final class HtmlWithScripts implements MessageCheck {
  private static final String NEVER =
      "script, iframe, frame, form, input, object, embed, style, link, svg";

  @Override
  public List<MessageFinding> look(Proofreading proof) {
    return proof.parts(Part.OwnHtml.class).stream().flatMap(part -> finding(part, proof)).toList();
  }

  private static Stream<MessageFinding> finding(Part.OwnHtml part, Proofreading proof) {
    Document document = Jsoup.parseBodyFragment(part.html());
    List<String> found =
        Stream.concat(
                document.select(NEVER).stream().map(Element::normalName),
                document.getAllElements().stream()
                    .flatMap(element -> element.attributes().asList().stream())
                    .filter(HtmlWithScripts::runs)
                    .map(Attribute::getKey))
            .distinct()
            .toList();
    if (found.isEmpty()) {
      return Stream.empty();
    }
    String clean = Jsoup.clean(part.html(), Safelist.relaxed());
    return Stream.of(
        MessageFinding.warning(
                "html-with-scripts",
                Optional.of(part.id()),
                "The own HTML holds %s: no mail program runs that, and it is taken out before sending."
                    .formatted(found.stream().collect(Collectors.joining(", "))))
            .fixedBy("Take it out now", proof.with(new Part.OwnHtml(part.id(), clean))));
  }

  private static boolean runs(Attribute attribute) {
    return attribute.getKey().startsWith("on")
        || attribute.getValue().strip().toLowerCase(Locale.ROOT).startsWith("javascript:");
  }
}
