<?php

declare(strict_types=1);

/*
 * Says how much of a tree its tests enter, from PHPUnit's report in Clover's XML; ends with 1 where that is too little.
 *
 *     php bench/coverage.php REPORT TREE LEAST        such as: clover.xml core 95
 */

[, $report, $tree, $least] = $argv + [null, '', 'core', '95'];
$document = @simplexml_load_file($report);
if ($document === false) {
    fwrite(STDERR, "{$report} is no report of coverage.\n");
    exit(2);
}
[$statements, $covered, $missing] = [0, 0, []];
foreach ($document->xpath('//file') ?: [] as $file) {
    $path = str_replace(dirname(__DIR__).'/', '', (string) $file['name']);
    if (! str_starts_with($path, "{$tree}/")) {
        continue;
    }
    $own = (int) $file->metrics['statements'];
    $entered = (int) $file->metrics['coveredstatements'];
    $statements += $own;
    $covered += $entered;
    if ($own > $entered) {
        $missing[$path] = $own - $entered;
    }
}
arsort($missing);
foreach (array_slice($missing, 0, 10, true) as $path => $many) {
    printf("%5d statements never entered in %s\n", $many, $path);
}
// exact: covered × 100 against what is asked
$percent = $statements === 0 ? '0.0' : number_format(100 * $covered / $statements, 2);
printf("%s: %s %% of %d statements are entered (at least %d %% are asked)\n", $tree, $percent, $statements, $least);
exit($covered * 100 >= (int) $least * max(1, $statements) ? 0 : 1);
