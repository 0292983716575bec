<?php

namespace App\View;

use App\Models\LogRecord;
use Cobblestone\Runbook\EntryKind;

/** One log entry in words. */
final class LogLine
{
    /** @param  array<string, string>  $titles step id => title */
    public static function text(LogRecord $entry, array $titles = []): string
    {
        $step =
            $entry->step === null ? '' : ($titles[$entry->step] ?? str_replace(['.', '-'], ' ', $entry->step)).': ';

        return $step.EntryKind::from($entry->kind)->title();
    }

    /** @return list<string> what was written down with it */
    public static function details(LogRecord $entry): array
    {
        $details = [];
        foreach (['text', 'agreed_by', 'device'] as $key) {
            if (is_string($entry->data[$key] ?? null) && $entry->data[$key] !== '') {
                $details[] = ($key === 'agreed_by' ? 'agreed by ' : '').$entry->data[$key];
            }
        }
        foreach ($entry->data['evidence'] ?? [] as $key => $value) {
            $details[] = str_replace('_', ' ', (string) $key).": {$value}";
        }

        return $details;
    }
}
