package org.opentrellis.core.check;

import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import org.opentrellis.core.journey.Name;

/** A question about a tag or list that nobody can carry: misspelt, or never set anywhere. */
final class NeverSet implements Check {
  @Override
  public List<Finding> look(CheckContext context) {
    Set<Name> known = LabelUse.known(context);
    List<Finding> findings = new ArrayList<>();
    LabelUse.askedByRules(context.journey())
        .flatMap(LabelUse::in)
        .filter(name -> !known.contains(name))
        .distinct()
        .forEach(name -> findings.add(Findings.warning(code(name), sentence(name))));
    context
        .expanded()
        .steps()
        .forEach(
            step ->
                step.conditions().stream()
                    .flatMap(LabelUse::in)
                    .filter(name -> !known.contains(name))
                    .distinct()
                    .forEach(
                        name ->
                            findings.add(Findings.warning(code(name), step.id(), sentence(name)))));
    return findings;
  }

  private static String code(Name name) {
    return LabelUse.isList(name) ? "list-never-joined" : "tag-never-set";
  }

  private static String sentence(Name name) {
    String asked =
        LabelUse.isList(name)
            ? "%s is asked for, but nobody is on it, no journey puts people on it and no audience "
                + "group has it. Check the spelling, or add people to it in a step."
            : "%s is asked for, but nobody has it, no journey sets it and no audience group "
                + "brings it. Check the spelling, or set the tag in a step.";
    String words = asked.formatted(LabelUse.words(name));
    return Character.toUpperCase(words.charAt(0)) + words.substring(1);
  }
}
