@foreach ($step->because as $reason)
<p>@words($reason->text) <span class="rule">{{ $reason->rule }}</span></p>
@if ($reason->source !== '')<p class="src">{{ $reason->source }}</p>@endif
@endforeach
@php($rehearsed = array_values(array_filter($progress->plan->assessment['rehearsal'] ?? [], fn ($start) => $start['step'] === $step->id && $start['wants'] !== 'setup')))
@if ($rehearsed !== [])<h2>Rehearsal says</h2>
@foreach (array_unique(array_column($rehearsed, 'sentence')) as $sentence)<p class="{{ collect($rehearsed)->firstWhere('sentence', $sentence)['succeeds'] ? '' : 'bad' }}">{{ $sentence }}</p>@endforeach
@php($hangs = collect($rehearsed)->firstWhere('settled_by', '!=', null))
<p class="src">Ground: {{ \Cobblestone\Boot\Model\Ground::from($rehearsed[0]['ground'])->title($rehearsed[0]['times']) }}{{ $hangs ? '; hangs on '.\App\View\Words::fact($hangs['settled_by']) : '' }}. <a href="/jobs/{{ $job->id }}/rehearsal">Every power-on</a>@if ($step->usesWaysIn()) · <a href="/jobs/{{ $job->id }}/ways-in">Ways in</a>@endif</p>@elseif ($step->usesWaysIn())<p class="src"><a href="/jobs/{{ $job->id }}/ways-in">Ways in</a> · <a href="/jobs/{{ $job->id }}/settings">Settings</a></p>@endif
