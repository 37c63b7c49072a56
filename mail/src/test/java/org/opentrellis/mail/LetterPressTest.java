package org.opentrellis.mail;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.file.Files;
import java.nio.file.Path;
import org.junit.jupiter.api.Test;
import org.opentrellis.core.message.Filling;
import org.opentrellis.core.message.Passages;
import org.opentrellis.core.message.PlainText;
import org.opentrellis.mail.SampleLetters.Somebody;

class LetterPressTest {
  @Test
  void dump() throws Exception {
    Somebody mira = new Somebody("Mira & <b>", true);
    var email = SampleLetters.whole();
    var t = LetterPress.print(email, SampleLetters.HEAD, Passages.holding(email, mira));
    String html =
        t.fill(new Filling(mira, SampleLetters.HEAD.regional()), mira, SampleLetters.PLACES);
    Files.writeString(Path.of("/tmp/letter.html"), html);
    System.out.println(PlainText.of(email, SampleLetters.HEAD, mira, SampleLetters.PLACES));
    System.out.println(html.length());
    assertThat(html).contains("Mira &amp;");
  }
}
