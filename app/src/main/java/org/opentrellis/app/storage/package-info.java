/**
 * Where the data lies and how it is kept safe: the folder and its lock, the schema and its
 * upgrades, what an acknowledged save means, trouble with the disk, backups. Knows no feature.
 */
@NullMarked
package org.opentrellis.app.storage;

import org.jspecify.annotations.NullMarked;
