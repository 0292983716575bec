<?php

namespace App\Bridge;

use App\Models\BootObservation;
use App\Models\WayTrial;
use Cobblestone\Boot\Quirk;
use Cobblestone\Boot\Reality;
use Cobblestone\Catalogue\Catalogue;
use Cobblestone\Firmware\RankedWay;

/** What this bench has seen of a model, laid over its catalogue entry (rules B, F1). */
final class Experience
{
    /** @return array{right: int, of: int, percent: float|null} */
    public function accuracy(): array
    {
        return Reality::accuracy(array_values(BootObservation::query()->where('looked', true)->get(['predicted', 'seen'])->map(fn (BootObservation $one): array => ['predicted' => $one->predicted, 'seen' => $one->seen])->all()));
    }

    /** Power-ons of stones that were laid without anybody saying what was seen. */
    public function unsaid(): int
    {
        return BootObservation::query()->where('looked', false)->count();
    }

    /** @return list<Quirk> */
    public function quirksOf(string $model): array
    {
        return Reality::quirks(array_values(BootObservation::query()->where('model', $model)->where('of_model', true)->get()->map(fn (BootObservation $one): array => ['wants' => $one->wants, 'predicted' => $one->predicted, 'seen' => $one->seen])->all()));
    }

    public function over(Catalogue $catalogue, ?string $model): Catalogue
    {
        $entry = $catalogue->all('machines')[$model ?? ''] ?? null;
        if ($entry === null || $model === null) {
            return $catalogue;
        }
        $entry['firmware']['ways_in'] = $this->tried($model, $entry['firmware']['ways_in'] ?? []);
        if ($entry['firmware']['ways_in'] === []) {
            unset($entry['firmware']['ways_in']);
        }
        $quirks = array_map(static fn (Quirk $quirk): array => $quirk->toArray(), $this->quirksOf($model));
        if ($quirks !== []) {
            $entry['firmware']['quirks'] = [...$quirks, ...($entry['firmware']['quirks'] ?? [])];
        }

        return $catalogue->with('machines', [$model => $entry]);
    }

    /**
     * Ways in with the trials of this bench: known ones gain or lose, and one that worked here becomes the model's own.
     *
     * @param  array<string, mixed>  $ways
     * @return array<string, list<array<string, mixed>>>
     */
    private function tried(string $model, array $ways): array
    {
        $ways = array_map(static fn (array $way): array => isset($way['how']) ? [$way] : $way, $ways);
        foreach (WayTrial::query()->where('model', $model)->get() as $trial) {
            $known = false;
            foreach ($ways[$trial->reaches] ?? [] as $index => $way) {
                if (RankedWay::name($way) === $trial->way) {
                    $field = $trial->worked ? 'confirmed' : 'missed';
                    $ways[$trial->reaches][$index][$field] = ($way[$field] ?? 0) + 1;
                    $known = true;
                }
            }
            if (! $known && $trial->worked && preg_match('/^(?:tap (?<key>.+)|hold (?<hold>.+) \+ (?<press>.+))$/', $trial->way, $found) === 1) {
                $ways[$trial->reaches][] = $found['key'] !== '' ? ['how' => 'tap', 'key' => $found['key'], 'confirmed' => 1] : ['how' => 'hold', 'key' => $found['hold'], 'press' => $found['press'], 'seconds' => 5, 'confirmed' => 1];
            }
        }

        return $ways;
    }
}
