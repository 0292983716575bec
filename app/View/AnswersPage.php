<?php

declare(strict_types=1);

namespace App\View;

use App\Bridge\JobAnswers;
use Cobblestone\Install\AnswerFile;
use Cobblestone\Runbook\Decision;
use Cobblestone\Runbook\PathFact;
use Cobblestone\Runbook\Plan;
use Cobblestone\Runbook\Step;
use Illuminate\Support\HtmlString;

/** The first start of a job's system: what is asked, what is answered, and the file that says it by itself. */
final readonly class AnswersPage
{
    /** @param  string  $fault  why there is no file although the path has one; empty where all is well */
    public function __construct(private Plan $plan, public ?JobAnswers $file, public string $fault)
    {
    }

    /** @return list<array<string, string>> */
    public function rows(): array
    {
        return $this->stone()->rows ?? [];
    }

    /** The stone at which the list is read from; empty where the path has none. */
    public function listStone(): string
    {
        return $this->stone()->id ?? '';
    }

    public function listTitle(): string
    {
        return $this->stone()->title ?? '';
    }

    /** Where the new system is started, or where a stick for later gets its list. */
    private function stone(): ?Step
    {
        return $this->plan->bringing(PathFact::FIRST_BOOT_DONE) ?? $this->plan->bringing(PathFact::ANSWERS_LISTED);
    }

    /** The one for these answers: an earlier one may stand before it, laid with others. */
    public function fileStone(): string
    {
        return AnswerFile::stone($this->plan)->id ?? '';
    }

    public function decision(): ?Decision
    {
        return $this->plan->decision('install.answers');
    }

    /** The file as it is, with what was worked out for this job marked. */
    public function text(): HtmlString
    {
        return new HtmlString(implode('', array_map(
            static fn (array $piece): string => $piece[1] ? '<mark>'.e($piece[0]).'</mark>' : e($piece[0]),
            $this->file?->pieces() ?? [],
        )));
    }

    /** "428 bytes" */
    public function measure(): string
    {
        return $this->file === null ? '' : strlen($this->file->text).' bytes';
    }
}
