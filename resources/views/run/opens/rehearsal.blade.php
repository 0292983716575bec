<p>
See <a href="/jobs/{{ $job->id }}/rehearsal">the rehearsal</a>:
its cheapest way out changes the path and opens this.
</p>
