<?php

namespace Tests\Browser;

use App\Actions\WalkStep;
use App\Bridge\JobBridge;
use App\Models\Job;
use App\Models\LogRecord;
use Cobblestone\Runbook\Step;
use Cobblestone\Runbook\WalkThrough;
use Facebook\WebDriver\Exception\TimeoutException;
use Facebook\WebDriver\WebDriverBy;
use Facebook\WebDriver\WebDriverKeys;

/** Walks a job's path in the browser as a person does: evidence typed field by field, strips confirmed, stones laid. */
trait WalksPaths
{
    /** The job whose run mode the browser has open: it goes on from stone to stone by itself. */
    private ?int $follows = null;

    /** The stone's clock has run for hours: nobody is asked whether it was done before. */
    public function ranBefore(Job $job, string $step): void
    {
        $entry = LogRecord::query()->create([
            'job_id' => $job->id,
            'user_id' => $job->user_id,
            'revision' => $job->refresh()->revision,
            'role' => 'lead',
            'kind' => 'started',
            'step' => $step,
            'data' => [],
            'created_at' => now()->subHours(9),
        ]);
        $job->update(['last_entry' => $entry->id]);
    }

    public function standsAt(Job $job): ?Step
    {
        return app(JobBridge::class)->progress($job->refresh())->current();
    }

    /**
     * What the path expects of a stone, with words of a test over it.
     *
     * @param  array<string, string>  $said
     * @return array<string, string>
     */
    public function expected(Job $job, Step $step, array $said = []): array
    {
        return [
            ...WalkThrough::evidence($step, app(JobBridge::class)->progress($job->refresh())->evidence()),
            ...$said,
        ];
    }

    /** @param  array<string, string>  $values */
    public function fillEvidence(array $values): void
    {
        $script = <<<'JS'
        const values = arguments[0], form = document.querySelector('form.evidence');
        for (const [id, value] of Object.entries(values)) {
            form.querySelectorAll(`[name="evidence[${id}]"],[name="evidence[${id}][]"]`).forEach((field) => {
                if (field.type === 'radio') field.checked = field.value === value;
                else if (field.type === 'checkbox') field.checked = value.includes(field.value);
                else field.value = value;
            });
        }
        JS;
        $this->browser()->executeScript($script, [$values]);
        $this->browser()
            ->findElement(WebDriverBy::cssSelector('form.evidence button'))
            ->sendKeys(WebDriverKeys::ENTER);
    }

    /**
     * Lays the stone the job stands at, on its page.
     *
     * @param  array<string, string>  $said
     */
    public function layHere(Job $job, array $said = []): void
    {
        $step = $this->standsAt($job);
        $this->ranBefore($job, $step->id);
        $this->standOn($job, $step->title);
        $this->hasSeen($job);
        if ($step->isOneWay()) {
            if ($step->confirmation->typed) {
                $this->browser()
                    ->findElement(WebDriverBy::id('serial'))
                    ->sendKeys(substr((string) $step->confirmation->serial, -4));
                $this->browser()
                    ->findElement(WebDriverBy::cssSelector('[name=read_from][value=label]'))
                    ->sendKeys(' ');
            }
            $this->browser()
                ->findElement(WebDriverBy::cssSelector('form.strip button'))
                ->sendKeys(WebDriverKeys::ENTER);
            $this->until(fn (): bool => $this->shows('#done, form.evidence'));
        }
        if ($step->evidence !== []) {
            $this->fillEvidence($this->expected($job, $step, $said));
        } else {
            $this->browser()->findElement(WebDriverBy::cssSelector('#done button'))->sendKeys(WebDriverKeys::ENTER);
        }
        $laid = fn (): bool => LogRecord::query()
            ->where('job_id', $job->id)
            ->where('kind', 'done')
            ->where('step', $step->id)
            ->exists();
        $this->until(fn (): bool => $laid() || $this->asksWhetherDoneBefore());
        if (! $laid()) {
            // A second try has a clock of its own.
            $this->browser()->findElement(WebDriverBy::name('before_clock'))->sendKeys(' ');
            $this->browser()
                ->findElement(WebDriverBy::cssSelector('#done button, form.evidence button'))
                ->sendKeys(WebDriverKeys::ENTER);
            $this->until($laid);
        }
        $this->follows = $job->id;
    }

    /** The page of the stone the job stands at; where the one before was just laid, the browser goes on by itself. */
    public function standOn(Job $job, string $title): void
    {
        if ($this->follows !== $job->id) {
            $this->visit("/jobs/{$job->id}/run");
        }
        $this->follows = $job->id;
        $this->until(fn (): bool => $this->browser()->executeScript(
            'return document.querySelector(".stone-card h1")?.innerText',
        ) === $title);
    }

    /** What the page saw last is brought up to the clock that was set since. */
    private function hasSeen(Job $job): void
    {
        $this->browser()->executeScript(
            'document.querySelectorAll("[name=seen]").forEach((field) => { field.value = arguments[0]; })',
            [(string) $job->refresh()->last_entry],
        );
    }

    private function shows(string $selector): bool
    {
        return $this->browser()->findElements(WebDriverBy::cssSelector($selector)) !== [];
    }

    /**
     * Lays what has nothing to type, tick or confirm without its page: of such stones one looks like another, and the
     * whole job that is walked by keyboard lays every one of its own.
     */
    public function layPlain(Job $job): void
    {
        $step = $this->standsAt($job);
        while ($step !== null && $step->evidence === [] && ! $step->isOneWay()) {
            $this->follows = null;
            $this->ranBefore($job, $step->id);
            app(WalkStep::class)->handle($job->id, $job->user, $step->id, 'done', [], $job->refresh()->last_entry);
            $step = $this->standsAt($job);
        }
    }

    private function asksWhetherDoneBefore(): bool
    {
        return $this->shows('[name=before_clock]');
    }

    /** Waits until something holds and the page stands still; says what the page shows where it does not. */
    public function until(callable $holds): void
    {
        try {
            $this->browser()->wait(40, 60)->until(fn (): bool => $this->standsStill() && $holds());
        } catch (TimeoutException) {
            throw new TimeoutException('It did not happen. The page shows: '.mb_substr($this->text(), 0, 900));
        }
    }
}
