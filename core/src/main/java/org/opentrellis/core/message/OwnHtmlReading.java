package org.opentrellis.core.message;

import java.util.List;
import java.util.stream.Collectors;
import org.jsoup.Jsoup;
import org.jsoup.nodes.Document;
import org.jsoup.nodes.Element;

/** What own HTML says, for those who do not look at it: its words and its links. */
public final class OwnHtmlReading {
  private OwnHtmlReading() {}

  /** Its links, in order; an address that is no web address leads nowhere. */
  public static List<Part.RowLink> links(String html) {
    return Jsoup.parseBodyFragment(html).select("a[href]").stream()
        .map(
            link ->
                new Part.RowLink(
                    cut(words(link)),
                    WebAddress.refusal(link.attr("href")).isPresent()
                        ? Link.NOWHERE
                        : Link.to(new Target.Web(link.attr("href")))))
        .toList();
  }

  /** What a link says: its words, or those of the picture in it. */
  public static String words(Element link) {
    return link.text().isBlank() ? link.select("img").attr("alt") : link.text();
  }

  private static String cut(String words) {
    return words.length() > 80 ? words.substring(0, 79) + "\u2026" : words;
  }

  /** Its words, a line for each block, each link with its address behind it. */
  public static String words(String html, LinkAddresses addresses) {
    Document document = Jsoup.parseBodyFragment(html);
    for (Element link : document.select("a[href]")) {
      if (WebAddress.refusal(link.attr("href")).isEmpty()) {
        Target to = new Target.Web(link.attr("href"));
        String address = addresses.link(to, LinksIn.named(words(link), Link.to(to)));
        link.appendText(" (" + address + ")");
      }
    }
    document.select("script, style, template, noscript").remove();
    document.select("br").forEach(end -> end.before("\n"));
    document.select("p, div, li, tr, h1, h2, h3, h4, h5, h6").forEach(end -> end.after("\n"));
    document.select("img[alt]").forEach(picture -> picture.before(" " + picture.attr("alt") + " "));
    return document
        .body()
        .wholeText()
        .lines()
        .map(line -> line.replaceAll("\\s+", " ").strip())
        .filter(line -> !line.isEmpty())
        .collect(Collectors.joining("\n"));
  }
}
