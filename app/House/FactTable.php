<?php

declare(strict_types=1);

namespace App\House;

use Cobblestone\Machine\Facts\FactDefinition;
use Cobblestone\Machine\Facts\FactOwner;
use Cobblestone\Machine\Facts\FactRegistry;

/** Every fact that a rule reads by name, as a page for who writes briefs; made from the registry. */
final class FactTable
{
    private const WHOSE = [
        'model' => 'What holds for every machine of a model',
        'machine' => 'What holds for this machine alone',
        'owner' => 'What only the owner can say',
        'job' => 'What one job brings with it',
    ];

    public static function markdown(): string
    {
        $lines = [
            '# Facts',
            '',
            'Written by `php artisan cobblestone:house` from `core/Machine/Facts`. A fact goes under `machine.facts` '
                .'of a brief; any of them may be *unknown*. *Words* are the only ones it may be given; where a '
                    .'question offers some, others may be typed.',
        ];
        foreach (FactOwner::cases() as $owner) {
            array_push($lines, '', '## '.self::WHOSE[$owner->value], '');
            array_push($lines, '| fact | said as | taken as | words | question | read by | a model learns it as |');
            $lines[] = '| --- | --- | --- | --- | --- | --- | --- |';
            foreach (FactRegistry::all() as $fact) {
                if ($fact->owner === $owner) {
                    $lines[] = '| '.implode(' | ', self::cells($fact)).' |';
                }
            }
        }

        return implode("\n", $lines)."\n";
    }

    /** @return list<string> */
    private static function cells(FactDefinition $fact): array
    {
        $starts = $fact->values === [] ? '' : 'a start asks: '.implode(', ', $fact->values);
        $words = array_filter([self::words($fact->answers), $starts]);
        $offers = $fact->asking === null ? '' : self::words($fact->offers());
        $asked = $fact->asking === null ? '' : $fact->asking->text().($offers === '' ? '' : " {$offers}");

        return [
            "`{$fact->name}`",
            $fact->spoken(),
            $fact->type->value,
            implode('; ', $words),
            $asked,
            implode(', ', $fact->givenBy),
            $fact->learned === null ? '' : "`{$fact->learned}`",
        ];
    }

    /** @param  array<string, string>  $words */
    private static function words(array $words): string
    {
        $said = [];
        foreach ($words as $word => $means) {
            $said[] = (string) $word === $means ? "`{$word}`" : "`{$word}`: {$means}";
        }

        return implode('; ', $said);
    }
}
