package org.opentrellis.core.reading;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

/** Every example of a plan in the docs for specialists is understood, typed or pasted. */
class DocsTest {
  private static final Pattern EXAMPLE = Pattern.compile("```\n(.*?)```", Pattern.DOTALL);

  static Stream<String> examples() throws IOException {
    Matcher found = EXAMPLE.matcher(Files.readString(Path.of("../docs/workbench.md")));
    return found.results().map(example -> example.group(1));
  }

  @Test
  void thereAreExamples() throws IOException {
    assertThat(examples()).hasSizeGreaterThanOrEqualTo(2);
  }

  @ParameterizedTest
  @MethodSource("examples")
  void isUnderstood(String example) {
    assertThat(Talk.read("empty", example)).isInstanceOf(Reading.Understood.class);
    Reading.Understood read = (Reading.Understood) Talk.read("empty", example);
    assertThat(read.journey().triggers()).isNotEmpty();
    assertThat(read.sentences()).hasSizeGreaterThanOrEqualTo(List.of(example.split("\n")).size());
  }
}
