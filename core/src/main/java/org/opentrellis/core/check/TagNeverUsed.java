package org.opentrellis.core.check;

import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import org.opentrellis.core.journey.Name;
import org.opentrellis.core.journey.TagName;

/** A tag that is set and that nothing goes by: left over, or misspelt where it is asked for. */
final class TagNeverUsed implements Check {
  @Override
  public List<Finding> look(CheckContext context) {
    Set<Name> used = LabelUse.used(context);
    List<Finding> findings = new ArrayList<>();
    context
        .expanded()
        .steps()
        .forEach(
            step ->
                LabelUse.setBy(step)
                    .filter(TagName.class::isInstance)
                    .filter(tag -> !used.contains(tag))
                    .distinct()
                    .forEach(
                        tag ->
                            findings.add(
                                Findings.warning(
                                    "tag-never-used",
                                    step.id(),
                                    "Tag \u201c%s\u201d is set here, but no journey or segment asks for it."
                                        .formatted(tag.value())))));
    return findings;
  }
}
