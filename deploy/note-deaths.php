<?php

// Listens to the supervisor (its event protocol: READY, a header line, a payload, RESULT) and writes a line for every
// process that ended although nobody asked it to: {"name": ..., "at": seconds since 1970}.
// A worker that ends in order, after its memory or at a restart, says so by its exit status and is not a death.

declare(strict_types=1);

/** @return array<string, string> "a:1 b:2" by name */
function pairs(string $line): array
{
    $pairs = [];
    foreach (array_filter(explode(' ', trim($line))) as $pair) {
        [$name, $value] = array_pad(explode(':', $pair, 2), 2, '');
        $pairs[$name] = $value;
    }

    return $pairs;
}

$file = (string) ($argv[1] ?? 'php://stderr');
while (true) {
    fwrite(STDOUT, "READY\n");
    $line = fgets(STDIN);
    if ($line === false) {
        exit(0);
    }
    $header = pairs($line);
    $length = (int) ($header['len'] ?? 0);
    $event = pairs($length > 0 ? (string) stream_get_contents(STDIN, $length) : '');
    $fatal = ($header['eventname'] ?? '') === 'PROCESS_STATE_FATAL';
    // queue:work ends with 12 when it has grown too large; 0 is an end in order.
    if ($fatal || ($event['expected'] ?? '1') === '0') {
        file_put_contents($file, json_encode(['name' => $event['processname'] ?? '?', 'at' => time(), 'given_up' => $fatal])."\n", FILE_APPEND | LOCK_EX);
    }
    fwrite(STDOUT, "RESULT 2\nOK");
}
