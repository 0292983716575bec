<nav class="job-tabs" aria-label="Parts of this job">
@foreach ([['path', "/jobs/{$job->id}", 'Path', ''], ['intake', "/jobs/{$job->id}/intake", 'Intake', 'i'], ['assessment', "/jobs/{$job->id}/assessment", 'Assessment', 'a'], ['settings', "/jobs/{$job->id}/settings", 'Firmware', 'f'], ['rehearsal', "/jobs/{$job->id}/rehearsal", 'Rehearsal', 'e'], ['memory', "/jobs/{$job->id}/memory", 'Memory', 'm'], ['backup', "/jobs/{$job->id}/backup", 'Backup', 'c'], ['keys', "/jobs/{$job->id}/keys", 'Keys', ''], ['log', "/jobs/{$job->id}/log", 'Log', 'l']] as [$id, $href, $name, $key])
@continue(in_array($id, ['intake', 'keys'], true) && ! auth()->user()->mayWork())
<a href="{{ $href }}" @class(['here' => $tab === $id]) @if ($tab === $id) aria-current="page" @endif @if ($key !== '') data-key="{{ $key }}" @endif>{{ $name }}@if ($key !== '') <kbd>{{ $key }}</kbd>@endif</a>
@endforeach
@if (auth()->user()->mayWork() && $job->isOpen())<a class="btn go" href="/jobs/{{ $job->id }}/run{{ $tab === 'path' && request()->has('stone') ? '?stone='.urlencode((string) request('stone')) : '' }}" data-key="r">Run mode <kbd>r</kbd></a>@endif
</nav>
