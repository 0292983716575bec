<?php

// Planning one of the guide's briefs in core, without framework and database: bin/benchmark-plan.php BRIEF prints
// "median-ms first-ms peak-MB". As where pages are served: code is compiled in memory that all processes share, and a
// fresh process is one that was forked and has loaded nothing of it. Of nine such processes, the middle first plan.
require __DIR__.'/../vendor/autoload.php';

use Cobblestone\Brief\Brief;
use Cobblestone\Catalogue\Catalogue;
use Cobblestone\Job\JobPlanner;
use Cobblestone\Policy\Policy;
use Symfony\Component\Yaml\Yaml;

const FRESH = 9;
const TIMES = 25;

opcache_get_status(false) !== false || exit("nothing is compiled in memory: opcache is off\n");
$entries = [];
foreach (Catalogue::KINDS as $kind) {
    foreach (glob(__DIR__."/../catalogue/{$kind}/*.yaml") ?: [] as $file) {
        $document = Yaml::parseFile($file);
        $entries[$kind][$document['id']] = $document;
    }
}
$brief = Yaml::parseFile(__DIR__."/../docs/guide/briefs/{$argv[1]}.yaml");
$plan = static function () use ($brief, $entries): float {
    $begun = hrtime(true);
    JobPlanner::plan(Brief::fromArray($brief), new Catalogue($entries), Policy::of());

    return (hrtime(true) - $begun) / 1e6;
};
/** @return array{float, float, float} its first plan, the middle of many, in ms, and the peak in MB */
$fresh = static function () use ($plan): array {
    $pair = stream_socket_pair(STREAM_PF_UNIX, STREAM_SOCK_STREAM, 0);
    [$mine, $its] = $pair === false ? exit("two processes cannot talk here\n") : $pair;
    if (pcntl_fork() === 0) {
        $times = array_map($plan, range(1, TIMES));
        $first = $times[0];
        sort($times);
        $told = [$first, $times[intdiv(TIMES, 2)], memory_get_peak_usage(true) / 1e6];
        fwrite($its, json_encode($told, JSON_THROW_ON_ERROR));
        exit(0);
    }
    fclose($its);
    $told = json_decode((string) stream_get_contents($mine), true);
    pcntl_wait($status);

    return is_array($told) ? $told : exit("a process did not end in order\n");
};
// The first of all compiles.
$fresh();
$told = array_map($fresh, range(1, FRESH));
$middle = static function (int $of) use ($told): float {
    $all = array_column($told, $of);
    sort($all);

    return $all[intdiv(FRESH, 2)];
};
printf("%.2f %.2f %.1f\n", $middle(1), $middle(0), max([0, ...array_column($told, 2)]));
