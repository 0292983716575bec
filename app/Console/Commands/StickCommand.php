<?php

namespace App\Console\Commands;

use App\Bridge\StickBridge;
use App\Bridge\StickRegister;
use App\Catalogue\CatalogueStore;
use App\Devices\Build\BuildFailure;
use App\Devices\Build\ElsewhereProof;
use App\Devices\Build\Fingerprint;
use App\Devices\Build\SizeCheck;
use App\Devices\Build\SourceFiles;
use App\Devices\Build\StickBuilder;
use App\Devices\Inspection\FileSource;
use App\Devices\Inspection\Inspection;
use App\Devices\Stick\FileStick;
use App\Devices\Stick\StickDevice;
use App\Jobs\BuildOrder;
use App\Jobs\BuildStick;
use Cobblestone\Catalogue\HostProfile;
use Cobblestone\Catalogue\UnknownEntry;
use Cobblestone\Media\Build\BuildSteps;
use Cobblestone\Media\Build\PlanFault;
use Cobblestone\Media\Build\Script\StickScript;
use Cobblestone\Media\Build\StickPlan;
use Cobblestone\Media\Build\StickTarget;
use Cobblestone\Media\Build\StickWish;
use Cobblestone\Media\WriteMode;
use Cobblestone\Quantity\Bytes;
use Cobblestone\Quantity\InvalidQuantity;
use Cobblestone\Storage\LayoutImpossible;
use Cobblestone\Storage\Scheme;
use RuntimeException;

final class StickCommand extends PlainCommand
{
    use SaidWords;

    protected $signature = 'cobblestone:stick
        {action : plan, build, prove, script, table, check or what}
        {subject? : an image for plan; a plan for build, prove, script and table; a stick for check and what}
        {--on= : a stick of the register, or a file}
        {--image= : the image, where it is not on the shelf}
        {--size= : bytes of the stick to plan for, where --on names none}
        {--way=auto : raw, copied, or auto}
        {--scheme=gpt : gpt or mbr, for copied files}
        {--storage : a partition for other files beside the installer}
        {--drivers= : a folder of drivers that goes onto the stick}
        {--parts=* : path=pattern of a file whose parts the installer joins, e.g. payload/system.img=payload/system.p%d}
        {--host= : kind of computer that the script is for, of the catalogue}
        {--by-content : prove what is on it, whatever tools laid it out}
        {--part-mebibytes=3800 : size of a part}
        {--out= : write to a file instead of the screen}';

    protected $description = 'Plan, build and check sticks';

    private const READABLE = JSON_PRETTY_PRINT | JSON_UNESCAPED_SLASHES | JSON_UNESCAPED_UNICODE | JSON_THROW_ON_ERROR;

    public function handle(StickRegister $register, BuildStick $build): int
    {
        try {
            return match ($this->said('action')) {
                'plan' => $this->put((string) json_encode($this->planned($register)->toArray(), self::READABLE)."\n"),
                'build' => $this->build($register, $build),
                'prove' => $this->prove($register),
                'script' => $this->put(StickScript::of($this->plan(), $this->host())),
                'table' => $this->put(BuildSteps::sfdiskScript($this->plan())),
                'check' => $this->check($register),
                'what' => $this->what($register),
                default => throw PlanFault::notPossible('There are plan, build, prove, script, table, check and what.'),
            };
        } catch (PlanFault|LayoutImpossible|InvalidQuantity|UnknownEntry|RuntimeException $e) {
            $this->error((string) preg_replace('/[\x00-\x1F\x7F]/', '?', $e->getMessage()));

            return self::FAILURE;
        }
    }

    private function planned(StickRegister $register): StickPlan
    {
        $image = $this->subject('an image');
        $report = Inspection::of($image);
        $mode = match ($this->chosen('way') ?? '') {
            'raw' => WriteMode::Raw,
            'copied' => WriteMode::FilesCopied,
            'auto' => $report->canBeRaw() ? WriteMode::Raw : WriteMode::FilesCopied,
            default => throw PlanFault::notPossible('--way is raw, copied or auto.'),
        };
        $parts = [];
        foreach ((array) $this->option('parts') as $pair) {
            [$path, $pattern] = [...explode('=', (string) $pair, 2), ''];
            str_contains($pattern, '%d')
                ? $parts[$path] = $pattern
                : throw PlanFault::notPossible('--parts is path=pattern, and the pattern has one %d.');
        }
        $scheme = Scheme::tryFrom(($this->chosen('scheme') ?? ''))
            ?? throw PlanFault::notPossible('--scheme is gpt or mbr.');
        $wish = new StickWish(
            pathinfo($image, PATHINFO_FILENAME),
            Bytes::mebi(max(1, (int) $this->option('part-mebibytes'))),
            $mode,
            $scheme,
            (bool) $this->option('storage'),
            parts: $parts,
        );

        return StickBridge::plan($image, $report, null, $this->target($register), $wish, $this->chosen('drivers'));
    }

    private function target(StickRegister $register): StickTarget
    {
        if ($this->chosen('size') !== null) {
            return new StickTarget(Bytes::parse($this->chosen('size'))->count);
        }

        return $this->stick($register)->target();
    }

    private function build(StickRegister $register, BuildStick $build): int
    {
        $plan = $this->plan();
        $source = new SourceFiles($this->image($plan), $this->chosen('drivers'));
        $progress = new ConsoleProgress($this->output);
        $on = ($this->chosen('on') ?? '');
        $result = $register->find($on) === null
            ? (new StickBuilder(
                $plan,
                FileStick::ofSize($this->file($on), $plan->device, $plan->sector),
                $source,
                $progress,
            ))
                ->build()
            : $build->handle(new BuildOrder($on, $plan, $source), $register->device($on), $progress);
        $this->line(sprintf(
            'Good: %d files, %s, written in %.1f s, read back and compared in %.1f s.',
            count($result->sums),
            Bytes::of($result->bytes)->decimal(),
            $result->writeSeconds,
            $result->verifySeconds,
        ));
        if ($this->chosen('out') !== null) {
            file_put_contents($this->chosen('out'), $result->sha256sums());
        }

        return self::SUCCESS;
    }

    /** Holds a stick that was made elsewhere, by the exported script, against its plan. */
    private function prove(StickRegister $register): int
    {
        $plan = $this->plan();
        $source = new SourceFiles($this->image($plan), $this->chosen('drivers'));
        $isFile = $register->find($this->chosen('on') ?? '') === null;
        $byContent = (bool) $this->option('by-content');
        $elsewhere = new ElsewhereProof($plan, $this->stick($register), $source, $byContent, $isFile);
        array_map($this->line(...), array_filter([$elsewhere->withoutSerial()]));
        $proof = $elsewhere->prove(new ConsoleProgress($this->output));
        $this->line(sprintf('Good: %d files, read back and compared in %.1f s.', count($proof->sums), $proof->seconds));

        return self::SUCCESS;
    }

    private function image(StickPlan $plan): string
    {
        return $this->chosen('image') ?? (config('cobblestone.shelf').'/'.$plan->image->file);
    }

    private function check(StickRegister $register): int
    {
        $verdict = SizeCheck::quick(
            $this->stick($register, $this->subject('a stick')),
            new ConsoleProgress($this->output),
        );
        $this->line($verdict['sentence']);

        return $verdict['honest'] ? self::SUCCESS : self::FAILURE;
    }

    private function what(StickRegister $register): int
    {
        $slug = $this->subject('a stick');
        $known = $register->find($slug) === null ? null : $register->look($slug);
        $path = $this->stick($register, $slug)->path();
        $report = Inspection::of($path);
        $twin = $known === null ? $register->withMark(Fingerprint::of(new FileSource($path))) : null;
        if ($twin !== null) {
            $this->line(
                "Its contents are those of {$twin->slug}: ".($twin->content['title'] ?? 'unnamed').', built '
                    .($twin->content['built_at'] ?? 'some day').'.',
            );
        }
        if ($known !== null) {
            $this->line(
                ucfirst($register->condition($known)->title())
                    .(isset($known->content['title']) ? ": {$known->content['title']}" : '').'.',
            );
        }
        $this->line($report->what().' '.$report->starts('raw'));

        return self::SUCCESS;
    }

    private function plan(): StickPlan
    {
        $text = @file_get_contents($this->subject('a plan'), false, null, 0, 200_000_000);
        $data = $text === false ? null : json_decode($text, true);

        return is_array($data)
            ? StickPlan::fromArray($data)
            : throw PlanFault::notPossible('The plan cannot be read as JSON.');
    }

    private function stick(StickRegister $register, ?string $name = null): StickDevice
    {
        $name ??= ($this->chosen('on') ?? '');

        return match (true) {
            $register->find($name) !== null => $register->device($name),
            is_file($name) => new FileStick($name),
            default => throw BuildFailure::of('gone', "There is neither a stick nor a file \"{$name}\"."),
        };
    }

    private function host(): ?HostProfile
    {
        $id = $this->chosen('host');

        return $id === null ? null : HostProfile::among(app(CatalogueStore::class)->catalogue()->hosts(), $id);
    }

    private function file(string $on): string
    {
        return $on !== '' ? $on : throw PlanFault::notPossible('--on names a stick of the register or a file.');
    }

    private function subject(string $what): string
    {
        $said = $this->said('subject');

        return $said === '' ? throw PlanFault::notPossible("This needs {$what}.") : $said;
    }

    private function put(string $text): int
    {
        $out = $this->chosen('out');
        $out === null ? $this->output->write($text, false, 16) : file_put_contents($out, $text);

        return self::SUCCESS;
    }
}
