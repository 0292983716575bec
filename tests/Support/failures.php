<?php

/*
 * What failed in a suite, from the file it wrote: failures.php JUNIT. Each test by its name, then what it says,
 * at most a dozen lines: whoever reads a run elsewhere sees only so much of it.
 */

$read = @simplexml_load_file($argv[1] ?? '');
$failed = $read === false ? [] : (array) $read->xpath('//testcase[failure or error]');
foreach ($failed as $test) {
    foreach ([...$test->failure, ...$test->error] as $fault) {
        $lines = array_slice(explode("\n", trim((string) $fault)), 0, 12);
        echo "  {$test['file']}: {$test['name']}\n";
        echo implode("\n", array_map(static fn ($line) => '    '.mb_substr($line, 0, 400), $lines)), "\n";
    }
}
