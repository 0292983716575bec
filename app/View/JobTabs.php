<?php

declare(strict_types=1);

namespace App\View;

use App\Models\Job;

/** The parts of a job as tabs, each with its key. */
final class JobTabs
{
    /** Part => [path behind the job, name, key, whether only who works may open it]. */
    private const TABS = [
        'path' => ['', 'Path', '', false],
        'intake' => ['/intake', 'Intake', 'i', true],
        'assessment' => ['/assessment', 'Assessment', 'a', false],
        'settings' => ['/settings', 'Firmware', 'f', false],
        'rehearsal' => ['/rehearsal', 'Rehearsal', 'e', false],
        'stick' => ['/stick', 'Stick', 's', false],
        'install' => ['/drivers', 'Install', 'd', false],
        'acceptance' => ['/acceptance', 'Proof', 'o', false],
        'memory' => ['/memory', 'Memory', 'm', false],
        'backup' => ['/backup', 'Backup', 'c', false],
        'keys' => ['/keys', 'Keys', '', true],
        'log' => ['/log', 'Log', 'l', false],
    ];

    /** @return array<string, array{href: string, name: string, key: string}> */
    public static function of(Job $job, bool $mayWork): array
    {
        $tabs = [];
        foreach (self::TABS as $id => [$path, $name, $key, $forWork]) {
            if ($mayWork || ! $forWork) {
                $tabs[$id] = ['href' => "/jobs/{$job->id}{$path}", 'name' => $name, 'key' => $key];
            }
        }

        return $tabs;
    }

    /** Run mode opens at the stone that is looked at. */
    public static function run(Job $job, string $tab): string
    {
        $stone = request('stone');

        return "/jobs/{$job->id}/run".
            ($tab === 'path' && is_string($stone) && $stone !== '' ? '?stone='.urlencode($stone) : '');
    }
}
