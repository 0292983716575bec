<?php

// Fifty people at about 1.5 s a click against a running bench with the demo world, generator included:
// php tests/drills/load.php [--url=http://127.0.0.1:8420] [--people=50] [--seconds=60] [--pause=1.5]     (--pause=0: at
// full blast)
// Every acknowledged note must be in the job's log exactly once. Ends with a table, and with status 1 when a limit is
// missed.

declare(strict_types=1);

$options = getopt('', ['url:', 'people:', 'seconds:', 'pause:']) + [
    'url' => 'http://127.0.0.1:8420',
    'people' => '50',
    'seconds' => '60',
    'pause' => '1.5',
];
[$url, $people, $seconds, $pause] = [
    rtrim((string) $options['url'], '/'),
    (int) $options['people'],
    (int) $options['seconds'],
    (float) $options['pause'],
];
$limits = $pause > 0 ? ['p95' => 250, 'p99' => 500] : ['p95' => 1500, 'p99' => PHP_INT_MAX];

function request(string $url, string $jar, ?array $fields = null): CurlHandle
{
    $handle = curl_init($url);
    curl_setopt_array(
        $handle,
        [
            CURLOPT_RETURNTRANSFER => true,
            CURLOPT_COOKIEFILE => $jar,
            CURLOPT_COOKIEJAR => $jar,
            CURLOPT_TIMEOUT => 60,
            CURLOPT_FOLLOWLOCATION => false,
            CURLOPT_ENCODING => '',
        ] + ($fields === null ? [] : [CURLOPT_POST => true, CURLOPT_POSTFIELDS => http_build_query($fields)]),
    );

    return $handle;
}

function field(string $page, string $name): string
{
    return preg_match('/name="'.$name.'" value="([^"]*)"/', $page, $match) === 1 ? $match[1] : '';
}

$folder = sys_get_temp_dir().'/load-'.getmypid();
mkdir($folder);
// The two who work sign in, and the sessions of one are shared by many browsers of theirs: what is measured is clicks,
// not sign-ins.
$clients = [];
foreach (range(0, $people - 1) as $i) {
    $clients[$i] = [
        'jar' => "{$folder}/{$i}",
        'token' => '',
        'next' => 0.0,
        'busy' => false,
        'clicks' => 0,
        'job' => 1 + ($i % 8),
        'note' => null,
    ];
    $handle = request("{$url}/login", $clients[$i]['jar']);
    $token = field((string) curl_exec($handle), '_token');
    curl_close($handle);
    $handle = request("{$url}/login", $clients[$i]['jar'], [
        '_token' => $token,
        'login' => ['lead', 'evening'][$i % 2],
        'password' => 'quillport',
    ]);
    curl_exec($handle);
    if (
        curl_getinfo($handle, CURLINFO_RESPONSE_CODE) !== 302 ||
        rtrim((string) curl_getinfo($handle, CURLINFO_REDIRECT_URL), '/') !== $url
    ) {
        exit("Cannot sign in at {$url}: is the demo world running there?\n");
    }
    curl_close($handle);
    $handle = request("{$url}/", $clients[$i]['jar']);
    $clients[$i]['token'] = field((string) curl_exec($handle), '_token');
    curl_close($handle);
    usleep(210_000);
}
$pages = [
    '/',
    '/jobs',
    '/bell/strip',
    'job',
    'run',
    'run',
    'log',
    'assessment',
    '/shelf',
    '/sticks',
    'rehearsal',
    'note',
    'note',
    '/find?q=fair',
    '/logbook',
    'settings',
];
$multi = curl_multi_init();
$begun = microtime(true);
foreach ($clients as $i => $client) {
    $clients[$i]['next'] = $begun + ($pause * $i) / $people;
}
$running = $times = $byPage = $acknowledged = $errors = [];
while (true) {
    $now = microtime(true);
    $over = $now - $begun > $seconds;
    if ($over && $running === []) {
        break;
    }
    foreach ($over ? [] : $clients as $i => $client) {
        if ($client['busy'] || $client['next'] > $now) {
            continue;
        }
        $page = $pages[($client['clicks'] + $i * 5) % count($pages)];
        $job = $client['job'];
        $note = null;
        if ($page === 'note') {
            $note = sprintf('drill %d %d %d', getmypid(), $i, $client['clicks']);
            $handle = request("{$url}/jobs/{$job}/steps/intake.take-in/note", $client['jar'], [
                '_token' => $client['token'],
                'text' => $note,
                'seen' => 0,
            ]);
        } else {
            $handle = request(
                $url.($page[0] === '/' ? $page : "/jobs/{$job}".($page === 'job' ? '' : "/{$page}")),
                $client['jar'],
            );
        }
        curl_multi_add_handle($multi, $handle);
        $running[spl_object_id($handle)] = [$handle, $i, $page, $now, $note];
        $clients[$i]['busy'] = true;
        $clients[$i]['clicks']++;
    }
    curl_multi_exec($multi, $active);
    while (($done = curl_multi_info_read($multi)) !== false) {
        [$handle, $i, $page, $sent, $note] = $running[spl_object_id($done['handle'])];
        unset($running[spl_object_id($done['handle'])]);
        $status = curl_getinfo($handle, CURLINFO_RESPONSE_CODE);
        $took = 1000 * (microtime(true) - $sent);
        $times[] = $took;
        $byPage[$page][] = $took;
        if ($note !== null && $status === 303) {
            $acknowledged[$clients[$i]['job']][] = $note;
        } elseif ($status !== 200) {
            $errors["{$page} {$status}"] = ($errors["{$page} {$status}"] ?? 0) + 1;
        }
        $clients[$i]['busy'] = false;
        $clients[$i]['next'] = $pause > 0 ? $sent + $pause * (0.7 + (0.6 * mt_rand()) / mt_getrandmax()) : 0.0;
        curl_multi_remove_handle($multi, $handle);
        curl_close($handle);
    }
    curl_multi_select($multi, 0.005);
}
$lost = $twice = $kept = 0;
foreach ($acknowledged as $job => $notes) {
    $text = '';
    for ($page = 1; $page < 60; $page++) {
        $handle = request("{$url}/jobs/{$job}/log?page={$page}", "{$folder}/0");
        $more = (string) curl_exec($handle);
        curl_close($handle);
        if (! str_contains($more, 'drill ') && $page > 1) {
            break;
        }
        $text .= $more;
    }
    foreach ($notes as $note) {
        $found = preg_match_all('/'.preg_quote($note, '/').'(?!\d)/', $text);
        $kept++;
        $lost += $found === 0 ? 1 : 0;
        $twice += $found > 1 ? 1 : 0;
    }
}
array_map(unlink(...), glob("{$folder}/*") ?: []);
rmdir($folder);
$at = static function (array $times, float $share): float {
    sort($times);

    return $times === [] ? 0.0 : $times[(int) floor($share * (count($times) - 1))];
};
printf(
    "%d people, %.1f s a click, %d s: %d clicks, %.1f a second\n",
    $people,
    $pause,
    $seconds,
    count($times),
    count($times) / $seconds,
);
foreach ($byPage as $page => $of) {
    printf("  %-14s %5d   p50 %6.0f   p95 %6.0f ms\n", $page, count($of), $at($of, 0.5), $at($of, 0.95));
}
[$p50, $p95, $p99] = [$at($times, 0.5), $at($times, 0.95), $at($times, 0.99)];
printf(
    "p50 %.0f ms, p95 %.0f ms (limit %d), p99 %.0f ms (limit %s)\n",
    $p50,
    $p95,
    $limits['p95'],
    $p99,
    $limits['p99'] === PHP_INT_MAX ? 'none' : (string) $limits['p99'],
);
printf(
    "errors: %s; acknowledged notes %d, lost %d, twice %d\n",
    $errors === [] ? 'none' : (string) json_encode($errors),
    $kept,
    $lost,
    $twice,
);
exit($errors === [] && $lost === 0 && $twice === 0 && $p95 <= $limits['p95'] && $p99 <= $limits['p99'] ? 0 : 1);
