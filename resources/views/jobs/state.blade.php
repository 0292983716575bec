@php($waiting = $progress->job->waiting)
@php($zone = config('cobblestone.timezone'))
@if ($before)<p class="notice">This machine was here before: <a href="/jobs/{{ $before->id }}">job {{ sprintf('%04d', $before->id) }}, {{ $before->title }}</a>, {{ $before->created_at->copy()->timezone($zone)->format('j M Y') }}.</p>@endif
@if ($rollback)
@php($moment = \Cobblestone\Quantity\Moment::ofUnix(now()->timestamp, $zone))
<section class="notice" aria-label="Way back"><b>{{ $rollback->sentence($moment, $progress->job->rollbackLost) }}</b>
@if (! $progress->job->rollbackLost)<span class="fine">Reminders: {{ implode(' and ', array_map(fn ($at) => $at->spoken(), $rollback->reminders())) }}.</span>
@if (auth()->user()->mayWork())<form method="post" action="/jobs/{{ $job->id }}/state/rollback-lost">@csrf<input type="hidden" name="seen" value="{{ $job->last_entry }}"><button class="btn small">The old system's folder was removed</button></form>@endif @endif</section>
@endif
@if ($waiting)
<section class="notice waits-for" aria-label="Waiting"><b>Waits for {{ \Cobblestone\Bench\Reminders::WAITING_FOR[$waiting['for']] ?? $waiting['for'] }}</b> since {{ \Illuminate\Support\Carbon::createFromTimestamp($waiting['since'])->timezone($zone)->format('j M, H:i') }}{{ $waiting['text'] === '' ? '' : ": {$waiting['text']}" }}{{ $waiting['remind'] ? ' · reminder '.\Illuminate\Support\Carbon::createFromTimestamp($waiting['remind'])->timezone($zone)->format('j M') : '' }}
@if (auth()->user()->mayWork())<form method="post" action="/jobs/{{ $job->id }}/state/resume">@csrf<input type="hidden" name="seen" value="{{ $job->last_entry }}"><button class="btn small go">It goes on</button></form>@endif</section>
@endif
@if (auth()->user()->mayWork() && $job->remind_at !== null && $job->remind_at->isPast())
<form method="post" action="/jobs/{{ $job->id }}/state/reminded" class="notice">@csrf<input type="hidden" name="seen" value="{{ $job->last_entry }}">Reminder: {{ $job->summary['reminders'][0]['what'] ?? '' }} <button class="btn small">Seen</button></form>
@endif
