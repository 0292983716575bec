@if (auth()->user()->mayWork())
<a class="btn go" href="/jobs/new" data-key="n">New job <kbd>n</kbd></a>
@endif
