<?php

declare(strict_types=1);

namespace Cobblestone\Bench;

use Cobblestone\Runbook\EntryKind;
use Cobblestone\Runbook\LogEntry;

/** What was done on one job in a shift, from its log alone: only what still holds at its end (rule L6). */
final readonly class ShiftLine
{
    /**
     * @param  list<string>  $laid  titles of stones, in the order in which they were laid
     * @param  list<string>  $open  problems that nothing has ended, in words
     * @param  list<string>  $ended  problems that were ended, and by what
     * @param  list<string>  $other  stones taken back, gates waived, a path computed again
     */
    private function __construct(public array $laid, public array $open, public array $ended, public array $other)
    {
    }

    /**
     * @param  list<LogEntry>  $entries  of one job, those of the shift, oldest first
     * @param  array<string, string>  $titles  stone => its title, of the path that holds now
     */
    public static function of(array $entries, array $titles): self
    {
        [$laid, $troubles, $ended, $other] = [[], [], [], []];
        foreach ($entries as $entry) {
            $step = (string) $entry->step;
            $title = $titles[$step] ?? 'a stone of an earlier path';
            switch ($entry->kind) {
                case EntryKind::Done:
                    unset($troubles[$step], $laid[$step]);
                    $laid[$step] = $title;
                    break;
                case EntryKind::TakenBack:
                    isset($laid[$step]) || $other[] = "taken back: {$title}";
                    unset($laid[$step]);
                    break;
                case EntryKind::Problem:
                    $troubles[$step][] = $title.self::after(': ', $entry->said('text'));
                    break;
                case EntryKind::Helped:
                case EntryKind::Retry:
                    $ended[] = self::ended(implode(' and ', $troubles[$step] ?? [$title]), $entry);
                    unset($troubles[$step]);
                    break;
                case EntryKind::Waived:
                    $other[] = 'waived'.self::after(': ', $entry->said('words')).
                        self::after(', agreed by ', $entry->said('agreed_by'));
                    break;
                case EntryKind::Replanned:
                    $other[] = 'path computed again'.self::after(': ', $entry->said('text'));
                    break;
                default:
            }
        }

        return new self(array_values($laid), array_merge(...array_values($troubles)), $ended, $other);
    }

    public function isEmpty(): bool
    {
        return $this->laid === [] && $this->open === [] && $this->ended === [] && $this->other === [];
    }

    /** What was written down ends when its time is over: then nothing stands behind the words either. */
    private static function after(string $words, string $said): string
    {
        return $said === '' ? '' : $words.$said;
    }

    private static function ended(string $trouble, LogEntry $by): string
    {
        return match (true) {
            $by->said('cause') === '' => "{$trouble}, tried again",
            $by->said('fix') === '' => "{$trouble}, it was: {$by->said('cause')}",
            default => "{$trouble}, it was: {$by->said('cause')}; what helped: {$by->said('fix')}",
        };
    }
}
