package org.opentrellis.app.http;

import java.util.Collection;
import java.util.Locale;
import java.util.Set;
import java.util.stream.Collectors;

/** Finds names that nothing has yet; capitals make no difference. */
public final class FreeName {
  private static final int LONGEST = 80;

  private FreeName() {}

  /** The name that is wanted, or with the first number behind it that makes it free. */
  public static String of(String wanted, Collection<String> taken) {
    Set<String> lower =
        taken.stream().map(name -> name.toLowerCase(Locale.ROOT)).collect(Collectors.toSet());
    String name = wanted;
    for (int n = 2; lower.contains(name.toLowerCase(Locale.ROOT)); n++) {
      String number = " " + n;
      name = wanted.substring(0, Math.min(wanted.length(), LONGEST - number.length())) + number;
    }
    return name;
  }
}
