package org.opentrellis.mail;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Locale;
import java.util.SplittableRandom;
import org.jsoup.Jsoup;
import org.jsoup.nodes.Attribute;
import org.jsoup.nodes.Document;
import org.jsoup.nodes.Element;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

class CleanHtmlTest {
  private static final List<String> PIECES =
      List.of(
          "<script>alert(1)</script>",
          "<img src=x onerror=alert(1)>",
          "<svg onload=alert(1)>",
          "<a href=\"javascript:alert(1)\">x</a>",
          "<a href=\"https://ambercomb.example\">x</a>",
          "<form action=\"/x\"><input></form>",
          "<iframe src=\"//evil\"></iframe>",
          "<style>*{}</style>",
          "<p style=\"background:url(javascript:1)\">p</p>",
          "<table><tr><td>t</td></tr></table>",
          "<!--",
          "-->",
          "<",
          ">",
          "\"",
          "'",
          "&lt;",
          "&#x3c;script&#x3e;",
          "<b>bold</b>",
          "]]>",
          "<math><mtext></p><style>",
          "<noscript><p title=\"</noscript><img src=x onerror=1>\">");

  private static void requireHarmless(String html) {
    Document page = Jsoup.parse(html);
    assertThat(page.select("script, iframe, form, input, object, embed, style, svg, base, link"))
        .as(html)
        .isEmpty();
    for (Element element : page.getAllElements()) {
      for (Attribute attribute : element.attributes()) {
        assertThat(attribute.getKey()).as(html).doesNotStartWith("on");
        assertThat(attribute.getValue().toLowerCase(Locale.ROOT))
            .as(html)
            .doesNotContain("javascript:");
      }
    }
  }

  @ParameterizedTest
  @ValueSource(
      strings = {
        "<p>Fine <b>words</b></p>",
        "<a href=\"https://ambercomb.example\">link</a>",
        "<table><tbody><tr><td align=\"center\">cell</td></tr></tbody></table>"
      })
  void whatIsFineStays(String html) {
    assertThat(Jsoup.parse(CleanHtml.of(html)).text()).isEqualTo(Jsoup.parse(html).text());
    assertThat(Jsoup.parse(CleanHtml.of(html)).select("b, a, td")).isNotEmpty();
  }

  @Test
  void tenThousandPatchworksAreHarmless() {
    SplittableRandom random = new SplittableRandom(8);
    for (int n = 0; n < 10_000; n++) {
      StringBuilder html = new StringBuilder();
      for (int pieces = 1 + random.nextInt(6); pieces > 0; pieces--) {
        String piece = PIECES.get(random.nextInt(PIECES.size()));
        html.append(
            random.nextInt(5) == 0 ? piece.substring(random.nextInt(piece.length())) : piece);
      }
      requireHarmless(CleanHtml.of(html.toString()));
    }
  }
}
