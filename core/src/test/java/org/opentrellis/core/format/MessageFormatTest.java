package org.opentrellis.core.format;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.catchThrowableOfType;

import java.util.Arrays;
import java.util.Collections;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.opentrellis.core.journey.LinkName;
import org.opentrellis.core.journey.Message;
import org.opentrellis.core.journey.MessageId;
import org.opentrellis.core.problem.Problem;
import org.opentrellis.core.problem.ProblemsFound;

class MessageFormatTest {
  private static final MessageId ID = new MessageId("m");

  private static List<Problem> problems(String name, String subject, List<String> links) {
    return catchThrowableOfType(
            ProblemsFound.class, () -> MessageFormat.read(ID, name, subject, links))
        .problems();
  }

  @Test
  void readsWhatIsThere() {
    assertThat(MessageFormat.read(ID, " Hello ", "Hello there", List.of("Kits")))
        .isEqualTo(new Message(ID, "Hello", "Hello there", List.of(new LinkName("Kits"))));
  }

  @Test
  void saysAllThatIsMissing() {
    assertThat(problems(null, null, null))
        .extracting(Problem::place)
        .containsExactly("/name", "/subject", "/links");
  }

  @Test
  void placesWhatIsWrong() {
    assertThat(problems("", "Hello", List.of()).get(0))
        .isEqualTo(new Problem("bad-value", "/name", "A message's name must not be empty."));
    assertThat(problems("Hello", "x".repeat(201), List.of()).get(0).place()).isEqualTo("/subject");
    assertThat(problems("Hello", "Hello", Arrays.asList("Kits", " ", null)))
        .extracting(Problem::place)
        .containsExactly("/links/1", "/links/2");
    assertThat(problems("Hello", "Hello", List.of("Kits", "Kits")).get(0))
        .isEqualTo(new Problem("bad-value", "/links", "A message must not name a link twice."));
  }

  @Test
  void refusesTooManyLinks() {
    assertThat(problems("Hello", "Hello", Collections.nCopies(21, "Kits")))
        .extracting(Problem::code)
        .contains("too-many-links");
  }
}
