<?php

namespace App\Bridge;

use App\Models\BootObservation;
use Cobblestone\Boot\Quirk;
use Cobblestone\Boot\Reality;
use Cobblestone\Catalogue\Catalogue;
use Cobblestone\Machine\Model\ObservedStart;
use Cobblestone\Runbook\TimesSeen;
use Illuminate\Support\Facades\DB;

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
        return Reality::quirks($this->recalled($model, null)['seen']);
    }

    /** The catalogue with the model as this bench has come to know it. */
    public function over(Catalogue $catalogue, ?string $model): Catalogue
    {
        return $this->planning($catalogue, $model, null)[0];
    }

    /**
     * What a path is planned by: the catalogue with the model as this bench has come to know it, and how long its
     * stones took with that system. Asked for at once.
     *
     * @param  string|null  $system  its name
     * @return array{Catalogue, TimesSeen}
     */
    public function planning(Catalogue $catalogue, ?string $model, ?string $system): array
    {
        $known = $model === null ? null : $catalogue->machines()[$model] ?? null;
        if ($known === null) {
            return [$catalogue, new TimesSeen()];
        }
        $recalled = $this->recalled($known->id, $system);
        $times = new TimesSeen($recalled['times']);
        if ($known->firmware === null) {
            return [$catalogue, $times];
        }
        $ways = $known->firmware->waysIn;
        // Known ones gain or lose, and one that worked here becomes the model's own.
        foreach ($recalled['ways'] as $trial) {
            $ways = $ways->tried($trial['reaches'], $trial['way'], $trial['worked']);
        }
        $observed = static fn (Quirk $quirk): ObservedStart => $quirk->observed();
        $learned = $known->firmware->learned($ways, array_map($observed, Reality::quirks($recalled['seen'])));

        return [$catalogue->withMachine($known->withFirmware($learned)), $times];
    }

    /**
     * Trials of ways in, power-ons that somebody said of the model, and times: of one model, oldest first.
     *
     * @return array{
     *     ways: list<array{reaches: string, way: string, worked: bool}>,
     *     seen: list<array{wants: string, predicted: string, seen: string}>,
     *     times: array<string, list<array{int, string}>>,
     * }
     */
    private function recalled(string $model, ?string $system): array
    {
        $newest = TimesSeen::NEWEST;
        $row = DB::selectOne(<<<SQL
            select
                (select json_agg(json_build_object('reaches', reaches, 'way', way, 'worked', worked) order by id)
                    from way_trials where model = ?) as ways,
                (select json_agg(json_build_object('wants', wants, 'predicted', predicted, 'seen', seen) order by id)
                    from boot_observations where model = ? and of_model) as seen,
                (select json_object_agg(step, (
                        select json_agg(json_build_array(seconds, stick) order by id)
                        from (select id, seconds, stick from step_times
                            where model = ? and system = ? and step = one.step
                            order by id desc limit {$newest}) as newest
                    ))
                    from (select distinct step from step_times where model = ? and system = ?) as one) as times
            SQL, [$model, $model, $model, $system ?? '', $model, $system ?? '']);
        $read = static fn (mixed $json): array => is_string($json) ? (array) json_decode($json, true) : [];

        /** @var list<array{reaches: string, way: string, worked: bool}> $ways */
        $ways = $read($row->ways);
        /** @var list<array{wants: string, predicted: string, seen: string}> $seen */
        $seen = $read($row->seen);
        /** @var array<string, list<array{int, string}>> $times */
        $times = $read($row->times);

        return compact('ways', 'seen', 'times');
    }

    /** @return list<LearnedTime> what is known of the times of each model with each system, the newest first */
    public function learnedTimes(): array
    {
        return array_values(array_map(LearnedTime::of(...), DB::select(<<<'SQL'
            -- From one group to the next by the index: there are thousands of times, and some dozens of groups.
            with recursive groups as (
                (select model, system, step from step_times order by model, system, step limit 1)
                union all
                select after.model, after.system, after.step from groups cross join lateral (
                    select model, system, step from step_times
                    where (step_times.model, step_times.system, step_times.step)
                        > (groups.model, groups.system, groups.step)
                    order by model, system, step limit 1
                ) as after
            )
            select one.model, coalesce(name, one.model) as name, system, title, (
                select json_agg(json_build_array(seconds, stick) order by id)
                from (select id, seconds, stick from step_times as of_group
                    where of_group.model = one.model and of_group.system = one.system and of_group.step = one.step
                    order by id desc limit ?) as newest
            ) as seconds
            from (
                select groups.*, newest.title, newest.created_at as last from groups cross join lateral (
                    -- Its number by the index alone, or the table is read backwards until one of the group comes.
                    select title, created_at from step_times where id = (
                        select id from step_times as of_group
                        where of_group.model = groups.model and of_group.system = groups.system
                            and of_group.step = groups.step
                        order by id desc limit 1
                    )
                ) as newest order by newest.created_at desc limit 30
            ) as one
            left join catalogue_entries on slug = one.model and kind = 'machines'
            order by last desc
            SQL, [TimesSeen::NEWEST])));
    }
}
