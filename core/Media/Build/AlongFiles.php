<?php

declare(strict_types=1);

namespace Cobblestone\Media\Build;

/** What travels on a stick beside the files of the image: drivers in a folder of their own, and answers (M8, I4). */
final class AlongFiles
{
    /**
     * @param  array<string, int>  $drivers
     * @param  array<string, int>  $files
     * @return list<PlannedFile>
     */
    public static function drivers(array $drivers, array $files): array
    {
        $folder = StickPlanner::DRIVERS;
        $taken = array_map(
            'strtoupper',
            array_map(static fn (string|int $path): string => explode('/', (string) $path)[0], array_keys($files)),
        );
        for ($i = 2; in_array($folder, $taken, true); $i++) {
            $folder = StickPlanner::DRIVERS.$i;
        }
        $planned = [];
        foreach ($drivers as $path => $bytes) {
            $planned[] = new PlannedFile("{$folder}/{$path}", $bytes, (string) $path, 0, 'drivers', $bytes);
        }

        return $planned;
    }

    /**
     * @param  array<string, int>  $files
     * @return list<PlannedFile>
     */
    public static function answers(?AnswerText $answers, array $files): array
    {
        if ($answers === null) {
            return [];
        }
        foreach (array_keys($files) as $path) {
            if (strcasecmp((string) $path, $answers->path) === 0) {
                throw PlanFault::notPossible(
                    "The image holds a file {$path} already: the answers cannot stand in its place.",
                );
            }
        }
        $bytes = strlen($answers->text);

        return [new PlannedFile($answers->path, $bytes, $answers->path, 0, 'answers', $bytes, $answers->text)];
    }
}
