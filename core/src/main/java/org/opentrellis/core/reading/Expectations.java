package org.opentrellis.core.reading;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Locale;
import java.util.Set;
import org.opentrellis.core.sentence.Style;

/**
 * What could have stood at each place of a sentence: the words of an error, and the ways to go on.
 */
final class Expectations {

  /**
   * Something that could stand at a place.
   *
   * @param words what is compared with what was typed
   * @param written what is put in for it
   * @param what it is the name of; empty for words of the language
   */
  record Expected(int at, String words, String written, String what) {}

  private final List<Expected> all = new ArrayList<>();

  void words(int at, String words) {
    all.add(new Expected(at, words, words, ""));
  }

  void name(int at, String name, String what) {
    all.add(new Expected(at, name, Style.quoted(name), what));
  }

  void name(int at, String name, String written, String what) {
    all.add(new Expected(at, name, written, what));
  }

  /** How much has been noted so far; {@link #forgetSince} goes back to it. */
  int mark() {
    return all.size();
  }

  void forgetSince(int mark) {
    all.subList(mark, all.size()).clear();
  }

  /** What could stand at a place, each once. */
  List<Expected> at(int place) {
    return all.stream().filter(one -> one.at == place).distinct().toList();
  }

  /** The ways to go on at the end of a text, the longest words read first. */
  List<Completion> completions(TypedText text) {
    List<Completion> ways = new ArrayList<>();
    Set<String> seen = new LinkedHashSet<>();
    all.stream()
        .sorted(
            Comparator.<Expected>comparingInt(one -> rank(one, text)).thenComparing(one -> -one.at))
        .filter(one -> goesOn(one, text))
        .forEach(
            one -> {
              if (seen.add(one.written + "/" + one.what)) {
                ways.add(new Completion(apart(one, text) + one.written, one.at, one.what));
              }
            });
    return ways;
  }

  private static String begun(Expected one, TypedText text) {
    return text.between(one.at, text.length());
  }

  /** What completes the word at the end comes first, then what goes on behind it. */
  private static int rank(Expected one, TypedText text) {
    String begun = begun(one, text);
    if (begun.isEmpty()) {
      return 1;
    }
    return begun.chars().noneMatch(Character::isWhitespace) ? 0 : 2;
  }

  /** A space, if what is put in would stick to the word before it. */
  private static String apart(Expected one, TypedText text) {
    String before = one.at == 0 ? " " : text.between(one.at - 1, one.at);
    boolean sticks =
        !Character.isWhitespace(before.charAt(0))
            && before.charAt(0) != '('
            && !one.written.startsWith(",");
    return sticks ? " " : "";
  }

  private static boolean goesOn(Expected one, TypedText text) {
    String begun = begun(one, text);
    if (begun.isEmpty()) {
      return true;
    }
    if (TypedText.isOpening(begun.charAt(0))) {
      begun = begun.substring(1);
      if (one.what.isEmpty()) {
        return false;
      }
    }
    String has = one.words.toLowerCase(Locale.ROOT);
    String wanted = begun.toLowerCase(Locale.ROOT);
    boolean whole = has.equals(wanted);
    return !whole && (has.startsWith(wanted) || !one.what.isEmpty() && has.contains(" " + wanted));
  }
}
