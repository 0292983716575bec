<?php

declare(strict_types=1);

namespace Cobblestone\Assessment\Symptom;

use Cobblestone\Catalogue\Symptom;
use Cobblestone\Catalogue\SymptomCause;
use Cobblestone\Machine\FactSheet;

/** From what is seen to what it is (rule J6). */
final readonly class SymptomIndex
{
    /** Points for a word found in the name, among other words for it, and in a cause. */
    private const POINTS = ['name' => 4, 'seen' => 3, 'cause' => 1];

    /** @param  list<Symptom>  $symptoms */
    private function __construct(private array $symptoms)
    {
    }

    /** @param  list<Symptom>  $symptoms */
    public static function of(array $symptoms): self
    {
        return new self($symptoms);
    }

    /**
     * Best match first; more than half of the words must be found somewhere, in whole or as a beginning.
     *
     * @return list<Symptom>
     */
    public function search(string $words, FactSheet $facts): array
    {
        $wanted = self::words($words);
        $found = [];
        foreach ($wanted === [] ? [] : $this->symptoms as $symptom) {
            $points = $symptom->applies($facts) ? self::points($symptom, $wanted) : 0;
            if ($points > 0) {
                $found[] = [$points, $symptom];
            }
        }
        usort($found, static fn (array $a, array $b): int => [$b[0], $a[1]->name] <=> [$a[0], $b[1]->name]);

        return array_column($found, 1);
    }

    /**
     * What is known of a step, the normal things first.
     *
     * @return list<Symptom>
     */
    public function forStep(string $step, FactSheet $facts): array
    {
        $mine = array_values(
            array_filter(
                $this->symptoms,
                static fn (Symptom $symptom): bool => $symptom->belongsTo($step) && $symptom->applies($facts),
            ),
        );
        $rank = array_flip(array_keys(Symptom::NORMAL));
        usort(
            $mine,
            static fn (Symptom $a, Symptom $b): int => [$rank[$a->normal], $a->name] <=> [$rank[$b->normal], $b->name],
        );

        return $mine;
    }

    /** @param  list<string>  $wanted */
    private static function points(Symptom $symptom, array $wanted): int
    {
        $texts = [
            'name' => self::words($symptom->name),
            'seen' => self::words(implode(' ', $symptom->seen)),
            'cause' => self::words(
                implode(
                    ' ',
                    array_map(static fn (SymptomCause $one): string => "{$one->cause} {$one->fix}", $symptom->causes),
                ),
            ),
        ];
        $points = 0;
        $missed = 0;
        foreach ($wanted as $word) {
            $best = 0;
            foreach ($texts as $where => $has) {
                foreach ($has as $one) {
                    if ($one === $word) {
                        $best = max($best, 2 * self::POINTS[$where]);
                    } elseif (mb_strlen($word) > 2 && str_starts_with($one, $word)) {
                        $best = max($best, self::POINTS[$where]);
                    }
                }
            }
            $missed += $best === 0 ? 1 : 0;
            $points += $best;
        }

        // A word that is not there weighs more than any that is only half there.
        return 2 * $missed >= count($wanted) ? 0 : max(1, $points - 6 * $missed);
    }

    /** @return list<string> */
    private static function words(string $text): array
    {
        return array_values(
            array_filter(
                (array) preg_split('/[^\p{L}\p{N}]+/u', mb_strtolower($text)),
                static fn ($word): bool => is_string($word) && mb_strlen($word) > 1,
            ),
        );
    }
}
