package org.opentrellis.app.entrances;

import org.jsoup.Jsoup;
import org.jsoup.nodes.Document;
import org.jsoup.nodes.Element;

/** Puts a page of ours below the parts of a message. */
final class PartsAbove {
  private PartsAbove() {}

  /**
   * @param parts a whole page, written as mail is
   * @param page ours, whole as well
   */
  static String put(String parts, String page) {
    Document both = Jsoup.parse(parts);
    Document ours = Jsoup.parse(page);
    both.outputSettings().prettyPrint(false);
    both.title(ours.title());
    for (Element one : ours.head().select("link, style")) {
      both.head().appendChild(one);
    }
    for (Element one : ours.body().children()) {
      both.body().appendChild(one);
    }
    both.body().addClass("with-parts");
    return both.outerHtml();
  }
}
