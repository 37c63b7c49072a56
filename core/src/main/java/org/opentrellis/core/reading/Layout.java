package org.opentrellis.core.reading;

import java.util.List;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * What is not language in a text of several lines: bullets, marks of a run sheet that was written
 * out as Markdown, and new lines in the middle of a sentence. All of it becomes spaces, so that
 * every word keeps its place.
 */
final class Layout {
  /** How a line begins that is a sentence of its own. */
  private static final Pattern BEGINNING =
      Wording.of(
          "#|purpose:|"
              + Words.STEP
              + "|starts|start|begins|it starts|the journey|when|whenever|as soon as|each|every|"
              + Words.SOMEONE
              + "|if|for|those|whoever|otherwise|or else|else|everyone|everybody|afterwards|either way|"
              + "in|on|after|day|the (next|following|others|rest|other|goal|sender|time|day)|goal:?|"
              + "our goal|secondary|another goal|leave|exit|send|text|email|mail|only|no|not|never|"
              + "nothing|at|from|all times|times|max|once|repeat|again|try|\\d(\\d)? (days?|hours?|weeks?|minutes?) (later|before|after)|(two|three|four|five|six) (days|hours|weeks) (later|before|after)|"
              + "an? (day|hour|week)|next|tomorrow|also|then|let|split|go|hand|set|clear|done|finish|"
              + "*arm|yes|success|we want|they should|who|trigger");

  /** A line that begins with one of these mistyped is a sentence, too. */
  private static final List<String> VERBS =
      List.of("send", "wait", "otherwise", "finish", "branch", "split", "starts", "leave", "goal");

  private static final Pattern LISTED = Pattern.compile("(?:[-\u2022\u2013*]|\\d{1,2}[.)])[ \\t]");
  private static final Pattern LINE = Pattern.compile("\\n([ \\t]*)");
  private static final Pattern MARKS =
      Pattern.compile(
          "(?m)^.*`[^`\\n]*/[^`\\n]*`$|^[ \\t]*(?:[-\u2022\u2013*](?=[ \\t])|\\d{1,2}[.)](?=[ \\t]))|`[^`\\n]*`|\\*\\*|^#.*$"
              + "|^Nothing happens yet\\.$|\\\\(?=[\\\\`*_\\[\\]<>#])",
          Pattern.MULTILINE);

  private Layout() {}

  /** The text with spaces where nothing is said; new lines only where a sentence begins. */
  static String plain(String text) {
    String lines = text.replace("\r\n", " \n").replace('\r', '\n').replace('\t', ' ');
    StringBuilder joined = new StringBuilder(lines);
    Matcher line = LINE.matcher(lines);
    while (line.find()) {
      if (!begins(lines, line.end())) {
        joined.setCharAt(line.start(), ' ');
      }
    }
    return spaced(joined.toString());
  }

  private static boolean begins(String text, int at) {
    boolean empty = at == text.length() || text.charAt(at) == '\n';
    return empty
        || LISTED.matcher(text).region(at, text.length()).lookingAt()
        || BEGINNING.matcher(text).region(at, text.length()).lookingAt()
        || Nearest.isNearlyOneOf(firstWord(text, at), VERBS);
  }

  private static String firstWord(String text, int at) {
    int end = at;
    while (end < text.length() && Character.isLetter(text.charAt(end))) {
      end++;
    }
    return text.substring(at, end);
  }

  private static String spaced(String text) {
    StringBuilder plain = new StringBuilder(text);
    Matcher mark = MARKS.matcher(text);
    while (mark.find()) {
      for (int i = mark.start(); i < mark.end(); i++) {
        plain.setCharAt(i, ' ');
      }
    }
    return plain.toString();
  }

  /** How far the line that a place stands in is indented, before a bullet if there is one. */
  static int indent(String text, int place) {
    int start = text.lastIndexOf('\n', Math.max(0, place - 1)) + 1;
    int end = start;
    while (end < text.length() && text.charAt(end) == ' ') {
      end++;
    }
    return end - start;
  }
}
