<?php

declare(strict_types=1);

namespace App\Bridge;

use App\Models\LogRecord;
use Cobblestone\Runbook\EntryKind;
use Illuminate\Support\Facades\DB;
use stdClass;

/** What helped on this bench when something went wrong before (rule L1). */
final class Incidents
{
    /** The bench event by which the lead has looked at one; its subject is the entry. */
    public const REVIEWED = 'incident-reviewed';

    /** @return array<string, int> cause => how often its fix helped */
    public function helped(string $symptom): array
    {
        $counts = [];
        $entries = LogRecord::query()
            ->where('kind', EntryKind::Helped->value)
            ->where('data->symptom', $symptom)
            ->get(['data']);
        foreach ($entries as $entry) {
            $cause = $entry->data['cause'] ?? null;
            if (is_string($cause)) {
                $counts[$cause] = ($counts[$cause] ?? 0) + 1;
            }
        }

        return $counts;
    }

    /**
     * What ended a problem here, in somebody's own words, and has not been looked at by the lead.
     *
     * @return list<Incident> newest first
     */
    public function told(?int $entry = null): array
    {
        $rows = DB::select(<<<'SQL'
            select n.id, n.job_id, n.step, p.symptom, p.said, n.data->>'cause' as cause,
                coalesce(n.data->>'fix', '') as fix, users.title as by,
                greatest(0, round(extract(epoch from n.created_at - p.at) / 60))::int as minutes
            from log_entries n
            join users on users.id = n.user_id
            join lateral (
                select data->>'symptom' as symptom, coalesce(data->>'text', '') as said, created_at as at
                from log_entries
                where job_id = n.job_id and id < n.id and step = n.step and kind = 'problem'
                order by id desc limit 1
            ) p on true
            where n.kind = 'retry' and coalesce(n.data->>'cause', '') <> '' and p.said <> ''
                and (?::bigint is null or n.id = ?)
                and not exists (select 1 from bench_events e where e.kind = ? and e.subject = n.id::text)
            order by n.id desc limit 50
            SQL, [$entry, $entry, self::REVIEWED]);

        return array_map(static fn (stdClass $row): Incident => new Incident(
            (int) $row->id,
            (int) $row->job_id,
            (string) $row->step,
            $row->symptom,
            (string) $row->said,
            (string) $row->cause,
            (string) $row->fix,
            (int) $row->minutes,
            (string) $row->by,
        ), array_values($rows));
    }

    /**
     * How often each fix of the index helped here, and what it cost until it did.
     *
     * @return list<stdClass> symptom, cause, many, minutes
     */
    public function fixes(): array
    {
        return array_values(DB::select(<<<'SQL'
            select data->>'symptom' as symptom, data->>'cause' as cause, count(*) as many,
                sum(coalesce((data->>'minutes')::numeric, 0))::int as minutes
            from log_entries where kind = 'helped' and coalesce(data->>'cause', '') <> ''
            group by 1, 2 order by 3 desc, 1 limit 100
            SQL));
    }
}
