<?php

namespace App\Bridge;

use App\Models\BootObservation;
use App\Models\WayTrial;
use Cobblestone\Boot\Quirk;
use Cobblestone\Boot\Reality;
use Cobblestone\Catalogue\Catalogue;
use Cobblestone\Machine\Model\ObservedStart;
use Cobblestone\Machine\Model\WaysIn;

/** What this bench has seen of a model, laid over its catalogue entry (rules B, F1). */
final class Experience
{
    /** @return array{right: int, of: int, percent: float|null} */
    public function accuracy(): array
    {
        return Reality::accuracy(
            array_values(
                BootObservation::query()
                    ->where('looked', true)
                    ->get(['predicted', 'seen'])
                    ->map(fn (BootObservation $one): array => ['predicted' => $one->predicted, 'seen' => $one->seen])
                    ->all(),
            ),
        );
    }

    /** Power-ons of stones that were laid without anybody saying what was seen. */
    public function unsaid(): int
    {
        return BootObservation::query()->where('looked', false)->count();
    }

    /** @return list<Quirk> */
    public function quirksOf(string $model): array
    {
        return Reality::quirks(
            array_values(
                BootObservation::query()
                    ->where('model', $model)
                    ->where('of_model', true)
                    ->get()
                    ->map(
                        fn (BootObservation $one): array => [
                            'wants' => $one->wants,
                            'predicted' => $one->predicted,
                            'seen' => $one->seen,
                        ],
                    )
                    ->all(),
            ),
        );
    }

    public function over(Catalogue $catalogue, ?string $model): Catalogue
    {
        $known = $model === null ? null : $catalogue->machines()[$model] ?? null;
        if ($known === null || $known->firmware === null) {
            return $catalogue;
        }

        return $catalogue->withMachine(
            $known->withFirmware(
                $known->firmware->learned(
                    $this->tried($known->id, $known->firmware->waysIn),
                    array_map(
                        static fn (Quirk $quirk): ObservedStart => $quirk->observed(),
                        $this->quirksOf($known->id),
                    ),
                ),
            ),
        );
    }

    /**
     * Ways in with the trials of this bench: known ones gain or lose, and one that worked here becomes the model's
     * own.
     */
    private function tried(string $model, WaysIn $ways): WaysIn
    {
        foreach (WayTrial::query()->where('model', $model)->get() as $trial) {
            $ways = $ways->tried($trial->reaches, $trial->way, $trial->worked);
        }

        return $ways;
    }
}
