package org.opentrellis.mail;

import org.owasp.html.HtmlPolicyBuilder;
import org.owasp.html.PolicyFactory;
import org.owasp.html.Sanitizers;

/** What is left of own HTML: words, tables, pictures and links to the web, no scripts and forms. */
public final class CleanHtml {
  private static final PolicyFactory POLICY =
      Sanitizers.FORMATTING
          .and(Sanitizers.BLOCKS)
          .and(Sanitizers.STYLES)
          .and(Sanitizers.TABLES)
          .and(
              new HtmlPolicyBuilder()
                  .allowElements("a", "img", "hr", "span", "center")
                  .allowStandardUrlProtocols()
                  .allowUrlProtocols("https", "http", "mailto")
                  .allowAttributes("href")
                  .onElements("a")
                  .allowAttributes("src", "alt", "width", "height")
                  .onElements("img")
                  .allowAttributes("width", "align", "valign", "bgcolor")
                  .onElements("table", "td", "th", "tr")
                  .toFactory());

  private CleanHtml() {}

  public static String of(String html) {
    return POLICY.sanitize(html);
  }
}
