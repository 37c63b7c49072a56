package org.opentrellis.core.sentence;

import org.opentrellis.core.journey.Catalogue;
import org.opentrellis.core.journey.Journey;

/**
 * The run sheet as Markdown, to read and to compare: one line for each sentence, so that a change
 * of one step changes one line. Ids of steps stand in code marks, since conditions and files go by
 * them.
 */
public final class Markdown {
  private Markdown() {}

  public static String of(Journey journey, Catalogue catalogue) {
    RunSheet sheet = RunSheet.of(journey, catalogue);
    StringBuilder text = new StringBuilder();
    text.append("# ").append(escaped(journey.name())).append("\n\n");
    text.append("Purpose: ").append(journey.purpose().word()).append("\n\n");
    text.append(said(sheet.opening().sentence())).append("\n\n");
    sheet.rules().forEach(rule -> text.append("- ").append(said(rule.sentence())).append('\n'));
    if (!sheet.rules().isEmpty()) {
      text.append('\n');
    }
    text.append("## Run sheet\n\n");
    for (RunSheet.Row row : sheet.rows()) {
      text.append("  ".repeat(row.depth())).append("- ");
      if (row.kind() == RunSheet.Kind.ARM) {
        text.append("*arm ").append(row.label()).append("*: ");
      }
      text.append(said(row.sentence())).append(" `").append(row.id()).append("`\n");
    }
    if (sheet.rows().isEmpty()) {
      text.append("Nothing happens yet.\n");
    }
    text.append('\n').append(said(sheet.goal().sentence())).append('\n');
    sheet
        .secondaryGoals()
        .forEach(goal -> text.append("\n").append(said(goal.sentence())).append('\n'));
    return text.toString();
  }

  private static String said(Phrase phrase) {
    StringBuilder text = new StringBuilder();
    for (Span span : phrase.spans()) {
      String words = escaped(span.text());
      text.append(span.strong() ? "**" + words + "**" : words);
    }
    return text.toString();
  }

  private static String escaped(String text) {
    return text.replaceAll("([\\\\`*_\\[\\]<>#])", "\\\\$1");
  }
}
