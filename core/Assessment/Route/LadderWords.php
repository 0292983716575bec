<?php

declare(strict_types=1);

namespace Cobblestone\Assessment\Route;

use Cobblestone\Catalogue\Rung;
use Cobblestone\Runbook\Decision;
use Cobblestone\Runbook\Question;
use Cobblestone\Text\Lowered;

/** What the ladder recommends, and why, in words (rule A3). */
final class LadderWords
{
    /**
     * @param  list<WeighedRung>  $ladder
     * @param  bool  $provisional  a gentler rung is still possible
     * @param  array<string, list<string>>  $refused  rung => why
     * @param  list<string>  $known  facts it rests on
     */
    public static function decision(
        ?Rung $rung,
        array $ladder,
        bool $provisional,
        ?Question $settles,
        array $refused,
        array $known,
    ): Decision {
        $because = [$rung === null ? 'Every rung is out; see why beside each.' : self::keeping($rung)];
        if ($provisional) {
            $because[] = 'A gentler way is still possible: '
                .($settles === null ? 'more has to be known.' : "\"{$settles->text}\" would settle most.");
        }

        return new Decision('assess.route', 'Route', self::chosen($rung, $ladder), $because, $refused, $known, 'A3');
    }

    /** @param  list<WeighedRung>  $ladder */
    private static function chosen(?Rung $rung, array $ladder): string
    {
        foreach ($ladder as $row) {
            if ($row->standing === WeighedRung::POSSIBLE) {
                return "{$row->title}, if an answer allows it; else ".
                    ($rung === null ? 'what the answers leave' : Lowered::of($rung->title));
            }
        }

        return $rung === null ? 'none can work as things stand' : $rung->title;
    }

    /**
     * @param  list<string>  $keeps  files, programs, settings
     * @return string  "keeps files and programs", "keeps nothing"
     */
    public static function keeps(array $keeps): string
    {
        $last = array_pop($keeps);

        return 'keeps '.match (true) {
            $last === null => 'nothing',
            $keeps === [] => $last,
            default => implode(', ', $keeps)." and {$last}",
        };
    }

    private static function keeping(Rung $rung): string
    {
        $loses = array_diff(['files', 'programs', 'settings'], $rung->keeps);

        return match (true) {
            $loses === [] => 'It keeps files, programs and settings.',
            count($loses) === 3 => 'It keeps nothing on the drive.',
            default => 'It keeps '.implode(' and ', $rung->keeps).'; it loses '.implode(' and ', $loses).'.',
        };
    }
}
