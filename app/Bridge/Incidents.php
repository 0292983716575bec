<?php

declare(strict_types=1);

namespace App\Bridge;

use App\Models\LogRecord;
use Cobblestone\Runbook\EntryKind;

/** What helped on this bench when something went wrong before (rule L1). */
final class Incidents
{
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
}
