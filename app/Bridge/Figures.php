<?php

declare(strict_types=1);

namespace App\Bridge;

use Carbon\CarbonInterface;
use Illuminate\Support\Facades\DB;
use stdClass;

/** What a year of the log says: what went wrong, what it cost, what helped, what was waived (rules L1, J12). */
final class Figures
{
    public const MONTHS = 12;

    /** A problem that stands longer waits for somebody, and costs no more minutes (default). */
    private const LONGEST_SECONDS = 28_800;

    /**
     * Problems, each with what ended it, by month, symptom, cause, model, image and stick.
     *
     * @return list<stdClass> month, symptom, cause, model, image, stick, many, minutes
     */
    public function troubles(): array
    {
        return array_values(DB::select(<<<'SQL'
            with p as (
                select id, job_id, step, created_at, coalesce(data->>'symptom', '') as symptom,
                    coalesce(data->>'text', '') as said
                from log_entries where kind = 'problem' and created_at >= ?
            )
            select to_char(p.created_at at time zone ?, 'YYYY-MM') as month,
                coalesce(nullif(p.symptom, ''), p.said) as symptom,
                max(p.said) as said,
                coalesce(n.cause, '') as cause,
                coalesce(c.about->>'machine', '') as model,
                coalesce(c.about->>'image', '') as image,
                coalesce(c.about->>'stick', '') as stick,
                count(*) as many,
                round(sum(least(coalesce(extract(epoch from n.at - p.created_at), 0), ?)) / 60) as minutes
            from p
            left join lateral (
                select created_at as at, data->>'cause' as cause from log_entries
                where job_id = p.job_id and id > p.id and step = p.step and kind in ('helped', 'retry', 'done')
                order by id limit 1
            ) n on true
            left join current_paths c on c.job_id = p.job_id
            group by 1, 2, 4, 5, 6, 7
            order by 1 desc, minutes desc, many desc
            limit 500
            SQL, [self::since(), self::zone(), self::LONGEST_SECONDS]));
    }

    /** @return list<stdClass> month, what, many */
    public function waivers(): array
    {
        return array_values(DB::select(<<<'SQL'
            select to_char(created_at at time zone ?, 'YYYY-MM') as month,
                coalesce(nullif(data->>'words', ''), data->>'gate', '') as what, count(*) as many
            from log_entries where kind = 'waived' and created_at >= ?
            group by 1, 2 order by 1 desc, 3 desc limit 200
            SQL, [self::zone(), self::since()]));
    }

    /** @return list<stdClass> month, stick, what, many */
    public function sticks(): array
    {
        return array_values(DB::select(<<<'SQL'
            select to_char(created_at at time zone ?, 'YYYY-MM') as month, slug as stick,
                what, count(*) as many
            from stick_events, json_array_elements_text(coalesce(data->'kinds', '["start"]')) as what
            where kind in ('failed', 'booted-badly', 'blamed') and created_at >= ?
            group by 1, 2, 3 order by 1 desc, 4 desc limit 200
            SQL, [self::zone(), self::since()]));
    }

    /** @return list<string> the last months, the oldest first, as 2026-11 */
    public static function months(): array
    {
        $month = now(self::zone())->startOfMonth()->subMonths(self::MONTHS - 1);

        return array_map(
            static fn (int $i): string => $month->copy()->addMonths($i)->format('Y-m'),
            range(0, self::MONTHS - 1),
        );
    }

    private static function since(): CarbonInterface
    {
        return now(self::zone())->startOfMonth()->subMonths(self::MONTHS - 1);
    }

    private static function zone(): string
    {
        return (string) config('cobblestone.timezone');
    }
}
