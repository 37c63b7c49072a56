package org.opentrellis.core.journey;

import org.opentrellis.core.problem.Refused;

/**
 * What a picture or file of the account is called. It is the name of what is shown, not of a path.
 *
 * @param value such as "hive-planner.pdf"; not blank, at most 80 characters, without slashes
 */
public record FileName(String value) implements Name {
  public FileName {
    value = Text.named("a file's name", value, 80);
    if (value.contains("/") || value.contains("\\") || value.startsWith(".")) {
      throw new Refused("a file's name must not hold a slash or begin with a dot");
    }
  }

  @Override
  public String toString() {
    return value;
  }
}
