<?php

// How long a stone takes to be laid, beside the health route, one at a time, in turn:
//   php bin/benchmark-done.php URL COOKIE-JAR JOB
// Lays the stone that is next, which must want nothing written down, and takes it back, 41 times.
// Prints the median of both in milliseconds.

[, $base, $jar, $job] = $argv;
if ($base === '' || $jar === '') {
    exit("php bin/benchmark-done.php URL COOKIE-JAR JOB\n");
}
$curl = curl_init();
$ask = static function (string $path, ?array $form = null) use ($curl, $base, $jar): array {
    curl_setopt_array($curl, [
        CURLOPT_URL => "{$base}{$path}", CURLOPT_RETURNTRANSFER => true, CURLOPT_COOKIEFILE => $jar,
        CURLOPT_HTTPGET => true,
    ]);
    if ($form !== null) {
        curl_setopt_array($curl, [CURLOPT_POST => true, CURLOPT_POSTFIELDS => http_build_query($form)]);
    }
    $text = (string) curl_exec($curl);

    return [$text, curl_getinfo($curl, CURLINFO_RESPONSE_CODE), 1000 * curl_getinfo($curl, CURLINFO_TOTAL_TIME)];
};
$form = static function (string $page, string $action): array {
    preg_match('#action="([^"]*/'.$action.')".*?name="_token" value="([^"]+)".*?name="seen" value="(\d+)"#s', $page, $m)
        || exit("the page has no way to say {$action}\n");

    return [$m[1], ['_token' => $m[2], 'seen' => $m[3]]];
};
$done = $health = [];
for ($i = 0; $i < 41; $i++) {
    $health[] = $ask('/up')[2];
    [$path, $fields] = $form($ask("/jobs/{$job}/run")[0], 'done');
    [, $status, $milliseconds] = $ask($path, [...$fields, 'before_clock' => '1']);
    $status === 303 || exit("the stone was not laid: {$status}\n");
    $done[] = $milliseconds;
    [$path, $fields] = $form($ask("/jobs/{$job}/run")[0], 'take-back');
    $ask($path, $fields)[1] === 303 || exit("the stone was not taken back\n");
}
sort($done);
sort($health);
printf("%.1f %.1f\n", $done[20], $health[20]);
