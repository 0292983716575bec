<?php

// Router of PHP's built-in server for the browser's tests. A file of public/ may be kept by the browser, as the real
// server lets it: without a word of that it would be asked for and read anew at every page.

declare(strict_types=1);

const KINDS = [
    'css' => 'text/css; charset=utf-8',
    'html' => 'text/html; charset=utf-8',
    'js' => 'application/javascript; charset=utf-8',
    'svg' => 'image/svg+xml',
    'woff2' => 'font/woff2',
];

$path = rawurldecode((string) parse_url((string) $_SERVER['REQUEST_URI'], PHP_URL_PATH));
$public = (string) getcwd();
// What judges the pages for people who do not see them comes from here too.
$from = $path === '/axe.min.js' ? dirname($public).'/node_modules/axe-core' : $public;
$file = (string) realpath($from.$path);
$kind = str_starts_with($file, "{$from}/") ? KINDS[pathinfo($file, PATHINFO_EXTENSION)] ?? null : null;
if ($kind !== null) {
    header("Content-Type: {$kind}");
    header('Cache-Control: max-age=3600');
    readfile($file);

    return;
}

// A bench that answers late and a page that takes as long to settle, where the tests are asked to stand one: who did
// not wait for what he started, shows.
$late = max(0, (int) getenv('COBBLESTONE_LATE_MS'));
usleep($late * 1000);
if ($late > 0) {
    ob_start(static fn (string $page): string => str_replace(
        "name=\"htmx-config\" content='{",
        "name=\"htmx-config\" content='{\"defaultSettleDelay\":{$late},",
        $page,
    ));
}
require "{$public}/index.php";
