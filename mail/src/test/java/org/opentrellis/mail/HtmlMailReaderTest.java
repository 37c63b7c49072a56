package org.opentrellis.mail;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.List;
import java.util.SplittableRandom;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;
import org.opentrellis.core.journey.Catalogue;
import org.opentrellis.core.message.Part;
import org.opentrellis.core.problem.Refused;
import org.opentrellis.core.sentence.ManuscriptText;

class HtmlMailReaderTest {
  private static final String MAIL =
      """
      <html><head><title>Spring at the stand</title><style>p { color: red }</style></head><body>
      <div style="display:none">What is in it&zwnj;&nbsp;&zwnj;</div>
      <table><tr><td><img src="https://ambercomb.example/logo.png" alt="Ambercomb" width="200"></td></tr>
      <tr><td><h1>Spring</h1><p>Hello, the <a href="https://ambercomb.example/bees">bees</a> fly.</p>
      <ul><li>Look</li><li>Do not touch</li></ul></td></tr>
      <tr><td bgcolor="#143D30"><a href="https://ambercomb.example/kits">See the kits</a></td></tr>
      <tr><td><hr><p>Yours<br>Mira</p><img src="https://x.example/o.gif" width="1" height="1"></td></tr>
      </table><form><input></form><script>alert(1)</script></body></html>
      """;

  private static String said(HtmlMail mail) {
    return String.join("\n", ManuscriptText.of(mail.email(), Catalogue.EMPTY));
  }

  @Test
  void textsPicturesLinksAndButtonsBecomeParts() {
    HtmlMail mail = HtmlMailReader.read(MAIL);
    assertThat(said(mail))
        .isEqualTo(
            """
            Subject: Spring at the stand
            Preview text: What is in it
            picture words \u201cAmbercomb\u201d
            # Spring
            Hello, the [bees](https://ambercomb.example/bees) fly.
            - Look
            - Do not touch
            button \u201cSee the kits\u201d to https://ambercomb.example/kits
            rule
            Yours\\
            Mira""");
    assertThat(mail.told())
        .containsExactlyInAnyOrder(
            "1 \u201cform\u201d was left out.",
            "1 \u201cscript\u201d was left out.",
            "1 \u201cstyle\u201d was left out.",
            "1 pictures that lie elsewhere: choose them anew.",
            "1 invisible pictures that tell when a mail is opened.");
  }

  @Test
  void aPictureInThePageItselfIsTakenAlong() {
    String dot =
        "iVBORw0KGgoAAAANSUhEUgAAAAEAAAABCAYAAAAfFcSJAAAADUlEQVR42mNk+M9QDwADhgGAWjR9awAAAABJRU5ErkJggg==";
    HtmlMail mail =
        HtmlMailReader.read("<p>Look</p><img alt='dot' src='data:image/png;base64," + dot + "'>");
    assertThat(mail.pictures()).containsOnlyKeys("picture-1.png");
    assertThat(((Part.Picture) mail.email().parts().get(1)).file().orElseThrow().value())
        .isEqualTo("picture-1.png");
  }

  @Test
  void whatIsTooMuchIsRefusedWithASentence() {
    assertThatThrownBy(() -> HtmlMailReader.read("x".repeat(900_001)))
        .isInstanceOf(Refused.class)
        .hasMessageContaining("900,000");
    assertThatThrownBy(() -> HtmlMailReader.read("<p>x".repeat(30_000)))
        .isInstanceOf(Refused.class)
        .hasMessageContaining("elements");
    assertThatThrownBy(() -> HtmlMailReader.read("<script>x</script>"))
        .isInstanceOf(Refused.class)
        .hasMessageContaining("nothing can be read");
    assertThat(HtmlMailReader.read("<div>".repeat(15_000) + "deep").email().parts()).hasSize(1);
  }

  @Test
  void tenThousandMutatedMailsAreReadOrRefused() {
    List<String> pieces = MAIL.lines().collect(Collectors.toList());
    SplittableRandom random = new SplittableRandom(4);
    for (int n = 0; n < 10_000; n++) {
      StringBuilder html = new StringBuilder();
      for (int i = random.nextInt(12); i >= 0; i--) {
        String piece = pieces.get(random.nextInt(pieces.size()));
        int cut = random.nextInt(piece.length() + 1);
        html.append(random.nextBoolean() ? piece.substring(cut) : piece.substring(0, cut));
        if (random.nextInt(6) == 0) {
          html.append((char) random.nextInt(0x2100)).append("\u0000\ud800");
        }
      }
      try {
        HtmlMailReader.read(html.toString());
      } catch (Refused refused) {
        assertThat(refused.sentence()).endsWith(".");
      }
    }
  }
}
