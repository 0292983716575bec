<?php

// The database killed in the middle of work, again and again, against a running bench with the demo world (never a
// shop's own):
//   php tests/drills/crash.php [--url=http://127.0.0.1:8420] [--rounds=6]
// Notes are sent all the time, and a stick is built while the database is killed, and then its worker too. After
// bin/start every
// acknowledged note is there once, the log's chain is whole, no stick is called good whose build did not end, and no
// build hangs.

declare(strict_types=1);

$options = getopt('', ['url:', 'rounds:']) + ['url' => 'http://127.0.0.1:8420', 'rounds' => '6'];
$url = rtrim((string) $options['url'], '/');
$root = dirname(__DIR__, 2);
$jar = tempnam(sys_get_temp_dir(), 'crash');

/** @return array{0: int, 1: string, 2: string} status, page, where it leads */
function send(string $url, string $jar, ?array $fields = null): array
{
    $handle = curl_init($url);
    curl_setopt_array(
        $handle,
        [
            CURLOPT_RETURNTRANSFER => true,
            CURLOPT_COOKIEFILE => $jar,
            CURLOPT_COOKIEJAR => $jar,
            CURLOPT_TIMEOUT => 20,
        ] + ($fields === null ? [] : [CURLOPT_POST => true, CURLOPT_POSTFIELDS => http_build_query($fields)]),
    );
    $page = curl_exec($handle);
    $answer = [
        (int) curl_getinfo($handle, CURLINFO_RESPONSE_CODE),
        is_string($page) ? $page : '',
        (string) curl_getinfo($handle, CURLINFO_REDIRECT_URL),
    ];
    curl_close($handle);

    return $answer;
}

function field(string $page, string $name): string
{
    return preg_match('/name="'.$name.'" value="([^"]*)"/', $page, $match) === 1 ? $match[1] : '';
}

function signIn(string $url, string $jar): string
{
    file_put_contents($jar, '');
    send("{$url}/login", $jar, [
        '_token' => field(send("{$url}/login", $jar)[1], '_token'),
        'login' => 'lead',
        'password' => 'quillport',
    ]);

    return field(send("{$url}/", $jar)[1], '_token');
}

$token = signIn($url, $jar);
$token !== '' || exit("Cannot sign in at {$url}: is the demo world running there?\n");
$faults = $kept = [];
for ($round = 1; $round <= (int) $options['rounds']; $round++) {
    // A stick of the demo world, from an image of its shelf, as a person builds it.
    preg_match('#href="(/shelf/\d+)"><b>Tansy#', send("{$url}/shelf", $jar)[1], $image);
    $page = send("{$url}{$image[1]}/ways?stick=tern-64", $jar)[1];
    preg_match('/name="way" value="([^"]+)" checked/', $page, $way);
    preg_match(
        '/serial: *"?([A-Za-z0-9-]+)/',
        (string) file_get_contents("{$root}/catalogue/sticks/tern-64.yaml"),
        $printed,
    );
    [$status, , $where] = send("{$url}{$image[1]}/builds", $jar, [
        '_token' => $token,
        'stick' => 'tern-64',
        'way' => $way[1] ?? '',
        'serial' => substr($printed[1] ?? '', -4),
    ]);
    $building = preg_match('#/builds/(\d+)$#', $where) === 1;
    $building || ($faults[] = "round {$round}: no build began ({$status} {$where})");
    // Begun, somewhere in the middle, nearly over: another moment each round.
    $until = microtime(true) + 0.1 + 0.25 * ($round % 6);
    while (microtime(true) < $until) {
        $note = sprintf('crash %d %d %d', getmypid(), $round, count($kept));
        if (
            send("{$url}/jobs/1/steps/intake.take-in/note", $jar, [
                '_token' => $token,
                'text' => $note,
                'seen' => 0,
            ])[0] === 303
        ) {
            $kept[] = $note;
        }
    }
    $pid = (int) strtok(
        (string) file_get_contents(
            trim(
                (string) shell_exec('ls -d '.escapeshellarg("{$root}/var/pg/data/postmaster.pid").' 2>/dev/null'),
            ),
        ),
        "\n",
    );
    posix_kill($pid, SIGKILL);
    if ($round % 2 === 0) {
        shell_exec('pkill -9 -f '.escapeshellarg("{$root}/artisan queue:work --queue=builds"));
    }
    $begun = microtime(true);
    exec(escapeshellarg("{$root}/bin/start").' 2>&1', $words, $code);
    printf(
        "round %d: killed, back after %.1f s, %d notes acknowledged so far\n",
        $round,
        microtime(true) - $begun,
        count($kept),
    );
    $code === 0 || ($faults[] = "round {$round}: bin/start: ".implode(' ', array_slice($words, -3)));
    $token = signIn($url, $jar);
    $stick = send("{$url}/sticks/tern-64", $jar)[1];
    if ($building && str_contains($stick, 'good: every byte was read back')) {
        // Good is right only where this very build ended before the kill, or waits in its queue and has touched nothing
        // yet.
        $said = html_entity_decode(strip_tags(strstr(send($where, $jar)[1], '<div id="build"') ?: ''));
        str_contains($said, 'Good: every byte') ||
            str_contains($said, 'Waiting for its turn') ||
            ($faults[] =
                "round {$round}: a stick is called good while its build says: ".
                substr((string) preg_replace('/\s+/', ' ', $said), 0, 160));
    }
    $waited = 0;
    while (
        $building &&
        preg_match('/every (1|2)s|hx-get="[^"]*progress"/', send($where, $jar)[1]) === 1 &&
        $waited < 60
    ) {
        sleep(1);
        $waited++;
    }
    $waited < 60 || ($faults[] = "round {$round}: a build without a worker still hangs after a minute");
}
$log = '';
for ($page = 1; $page < 80; $page++) {
    $more = send("{$url}/jobs/1/log?page={$page}", $jar)[1];
    if (! str_contains($more, 'crash ')) {
        break;
    }
    $log .= $more;
}
foreach ($kept as $note) {
    $found = preg_match_all('/'.preg_quote($note, '/').'(?!\d)/', $log);
    $found === 1 || ($faults[] = "acknowledged \"{$note}\" is there {$found} times");
}
exec('cd '.escapeshellarg($root).' && php artisan cobblestone:log verify 2>&1', $chain, $code);
$code === 0 || ($faults[] = 'the chain of the log: '.implode(' ', $chain));
unlink($jar);
printf(
    "%d rounds, %d acknowledged notes; faults: %s\n",
    (int) $options['rounds'],
    count($kept),
    $faults === [] ? 'none' : "\n  ".implode("\n  ", $faults),
);
exit($faults === [] ? 0 : 1);
