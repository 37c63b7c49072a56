package org.opentrellis.core.machine;

import java.util.HashMap;
import java.util.HashSet;
import java.util.Map;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import org.opentrellis.core.journey.FieldName;
import org.opentrellis.core.journey.Name;
import org.opentrellis.core.journey.Operand;

/**
 * What a record says by names that no journey of a world has to do with: kept, since another world
 * may have.
 */
final class UnusedRecord {
  final Set<Name> labels = new HashSet<>();
  final Set<Name> hadLabels = new HashSet<>();
  final Map<FieldName, Operand> fields = new HashMap<>();

  void clear() {
    if (!hadLabels.isEmpty() || !fields.isEmpty()) {
      labels.clear();
      hadLabels.clear();
      fields.clear();
    }
  }

  void label(Name tagOrList, boolean on) {
    if (on) {
      labels.add(tagOrList);
      hadLabels.add(tagOrList);
    } else {
      labels.remove(tagOrList);
    }
  }

  void field(FieldName name, @Nullable Operand value) {
    if (value == null) {
      fields.remove(name);
    } else {
      fields.put(name, value);
    }
  }
}
