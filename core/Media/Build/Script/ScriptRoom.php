<?php

declare(strict_types=1);

namespace Cobblestone\Media\Build\Script;

use Cobblestone\Media\Build\PlannedFile;
use Cobblestone\Media\Build\StickPlan;
use Cobblestone\Media\WriteMode;
use Cobblestone\Quantity\Bytes;

/** Room that a script takes on the computer it runs on: the copies that exist at once (rule M14). */
final class ScriptRoom
{
    /** Beside the files: names, lists, and what a volume's own tables take while it is made. */
    private const BESIDE = 67_108_864;

    /**
     * The files unpacked, the parts of one that is cut beside its whole, and what is read back: beside the first where
     * both stay until they are compared. Nothing where an image is written as it comes out.
     */
    public static function bytes(StickPlan $plan, bool $keepsBoth): int
    {
        if ($plan->mode === WriteMode::Raw) {
            return 0;
        }
        $parts = array_sum(array_map(
            static fn (PlannedFile $file): int => $file->isPart() ? $file->bytes : 0,
            $plan->files,
        ));

        return ($keepsBoth ? 2 : 1) * (int) $plan->bytes() + $parts + self::BESIDE;
    }

    /** The end of what a script needs; empty where it takes no room. */
    public static function words(StickPlan $plan, bool $keepsBoth): string
    {
        $bytes = self::bytes($plan, $keepsBoth);

        return $bytes === 0 ? '' : ', and '.Bytes::of($bytes)->decimal().' free in TMPDIR';
    }

    /** @return list<string> */
    public static function check(StickPlan $plan, bool $keepsBoth): array
    {
        $kibi = (int) ceil(self::bytes($plan, $keepsBoth) / 1024);

        return $kibi === 0 ? [] : [
            'room=$(df -P -k "$scratch" | tail -n 1 | tr -s " " | cut -d " " -f 4)',
            "[ \"\$room\" -ge {$kibi} ] || stop \"there are \$room KiB free for unpacked files, {$kibi} are "
                .'wanted: set TMPDIR to a folder with more"',
        ];
    }
}
