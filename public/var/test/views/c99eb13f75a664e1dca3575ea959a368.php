<?php $__env->startSection('title', $step->title); ?>
<?php $__env->startSection('page-class', 'run'); ?>
<?php $__env->startSection('content'); ?>
<?php ($closed = $state->isClosed()); ?>
<?php ($shut = $progress->shutGates($step)); ?>
<?php ($missing = array_values(array_diff($progress->missing($step), array_map(fn ($gate) => $gate->fact, $shut)))); ?>
<?php ($confirm = $step->isOneWay() && ! $progress->isConfirmed($step)); ?>
<?php ($mayWork = auth()->user()->mayWork()); ?>
<?php ($open = $mayWork && ! $closed && $shut === [] && $missing === []); ?>
<?php ($started = $progress->startedAt($step)); ?>
<?php ($action = fn ($name) => "/jobs/{$job->id}/steps/{$step->id}/{$name}"); ?>
<div class="run-head"><a href="/jobs/<?php echo e($job->id); ?>?stone=<?php echo e($step->id); ?>" data-key="Escape"><?php echo e($job->title); ?></a> <span>stone <?php echo e($number); ?> of <?php echo e(count($progress->plan->steps)); ?><?php echo e($job->slot ? " · slot {$job->slot}" : ''); ?></span>
<span class="turn"><?php if($before): ?><a href="?stone=<?php echo e($before->id); ?>" data-key="ArrowLeft" aria-label="The stone before: <?php echo e($before->title); ?>">←</a><?php endif; ?> <?php if($after): ?><a href="?stone=<?php echo e($after->id); ?>" data-key="ArrowRight" aria-label="The stone after: <?php echo e($after->title); ?>">→</a><?php endif; ?></span></div>
<?php if($takeBack && $mayWork): ?>
<form method="post" action="/jobs/<?php echo e($job->id); ?>/steps/<?php echo e($takeBack->step); ?>/take-back" class="take-back" data-gone-at="<?php echo e($takeBack->at + \Cobblestone\Runbook\Progress::TAKE_BACK); ?>"><?php echo csrf_field(); ?><input type="hidden" name="seen" value="<?php echo e($job->last_entry); ?>"><span><b><?php echo e($progress->plan->step($takeBack->step)?->title); ?></b> is done.</span> <button class="btn small" data-key="u">Take back <kbd>u</kbd> <b class="clock" data-until="<?php echo e($takeBack->at + \Cobblestone\Runbook\Progress::TAKE_BACK); ?>"></b></button></form>
<?php endif; ?>
<section class="stone-card <?php echo e($state->value); ?> <?php echo e($step->isOneWay() ? 'one-way' : ''); ?>" data-space="<?php echo e($open && ! $step->isOneWay() && $step->evidence === [] && $state !== \Cobblestone\Runbook\StepState::Trouble ? 'done' : ($open && $step->evidence !== [] ? 'evidence' : 'no')); ?>">
<div class="card-head"><h1><?php echo e($step->title); ?></h1>
<div class="timer"><?php if($started && ! $closed): ?><b class="clock" data-since="<?php echo e($started); ?>" data-likely="<?php echo e($step->time->likely->seconds); ?>" data-high="<?php echo e($step->time->high->seconds); ?>">0:00</b><small>expected <?php echo e($step->time->likely->label()); ?> · worry after <?php echo e($step->time->high->label()); ?></small><?php else: ?><small><?php echo e($closed ? ($state === \Cobblestone\Runbook\StepState::Waived ? 'fell away with a waiver' : 'laid') : 'about '.$step->time->likely->label()); ?></small><?php endif; ?></div></div>
<p class="meta"><?php echo e($step->presence->title()); ?><?php echo e($step->isOneWay() ? ' · one-way' : ''); ?><?php echo e(($needs = array_diff($step->needs, ['hands'])) ? ' · needs '.implode(', ', $needs) : ''); ?><?php echo e(($tries = $progress->tries($step)) > 1 ? " · try {$tries}" : ''); ?></p>
<?php if($progress->isOverdue($step, $now)): ?>
<div class="overdue" role="status"><b>Longer than it should.</b> <?php echo e($step->waiting ? 'Usual is: '.implode('; ', $step->waiting->usual).'. Next: '.$step->waiting->nextTest : 'Look what is holding it up; note a problem if something is wrong.'); ?></div>
<?php elseif($step->waiting && ! $closed && $started): ?>
<p class="normal"><b>Is this normal?</b> Usual: <?php echo e(implode('; ', $step->waiting->usual)); ?>.<?php echo e($step->waiting->restarts ? " Restarts: {$step->waiting->restarts}." : ''); ?></p>
<?php endif; ?>
<?php if(($trouble = $progress->trouble($step)) !== null): ?><div class="wrong trouble"><b>Problem:</b> <?php echo e($trouble); ?>

<?php if($step->waiting): ?><br><b>Next test:</b> <?php echo e($step->waiting->nextTest); ?><?php endif; ?></div><?php endif; ?>
<?php echo $__env->make('parts.step', array_diff_key(get_defined_vars(), ['__data' => 1, '__path' => 1]))->render(); ?>
<?php if($core): ?><div class="run-core"><?php echo $__env->make('parts.core', array_diff_key(get_defined_vars(), ['__data' => 1, '__path' => 1]))->render(); ?></div><?php endif; ?>
<?php $__errorArgs = ['step'];
$__bag = $errors->getBag($__errorArgs[1] ?? 'default');
if ($__bag->has($__errorArgs[0])) :
if (isset($message)) { $__messageOriginal = $message; }
$message = $__bag->first($__errorArgs[0]); ?><p class="wrong" role="alert"><?php echo e($message); ?></p><?php unset($message);
if (isset($__messageOriginal)) { $message = $__messageOriginal; }
endif;
unset($__errorArgs, $__bag); ?>
<?php if($mayWork && ! $closed): ?>
<?php if($missing !== []): ?><p class="waits"><b>You can read this ahead.</b> It starts when <?php echo e(implode(', and ', array_map(\Cobblestone\Runbook\Fact::spoken(...), $missing))); ?>.</p><?php endif; ?>
<?php $__currentLoopData = $shut; $__env->addLoop($__currentLoopData); foreach($__currentLoopData as $gate): $__env->incrementLoopIndices(); $loop = $__env->getLastLoop(); ?>
<?php ($opener = $progress->plan->step($gate->opensBy)); ?>
<section class="gate-card" aria-label="Closed gate"><h2><svg width="26" height="30" viewBox="0 0 26 30" aria-hidden="true"><path d="M4 2V28M22 2V28M4 8H22M4 16H22"/></svg>Gate shut: <?php echo e($gate->title); ?></h2>
<?php if($opener && $opener->evidence !== [] && $progress->missing($opener) === []): ?>
<?php echo $__env->make('run.evidence', ['for' => $opener, 'button' => 'Open the gate'], array_diff_key(get_defined_vars(), ['__data' => 1, '__path' => 1]))->render(); ?>
<?php elseif(! $opener): ?><p>An answer on <a href="/jobs/<?php echo e($job->id); ?>">the job's page</a> opens it.</p>
<?php elseif($opener): ?><p>It opens with the stone <a href="?stone=<?php echo e($opener->id); ?>"><?php echo e($opener->title); ?></a><?php if($progress->missing($opener) !== []): ?>, which itself waits until <?php echo e(implode(', and ', array_map(\Cobblestone\Runbook\Fact::spoken(...), $progress->missing($opener)))); ?><?php endif; ?>.</p><?php endif; ?>
<?php if(in_array(auth()->user()->role, $gate->waivableBy, true)): ?>
<details <?php if($errors->hasAny(['agreed_by'])): ?> open <?php endif; ?>><summary>Waive it in writing</summary><form method="post" action="<?php echo e($action('waive')); ?>"><?php echo csrf_field(); ?><input type="hidden" name="seen" value="<?php echo e($job->last_entry); ?>"><input type="hidden" name="gate" value="<?php echo e($gate->id); ?>">
<label class="form-label" for="agreed_by">Who agreed</label><input id="agreed_by" name="agreed_by" class="form-control" value="<?php echo e(old('agreed_by')); ?>" required><?php echo $__env->make('parts.error', ['field' => 'agreed_by'], array_diff_key(get_defined_vars(), ['__data' => 1, '__path' => 1]))->render(); ?>
<label class="form-label mt-2" for="waive-text">To what, in their words</label><textarea id="waive-text" name="text" class="form-control" rows="2" required><?php echo e(old('text')); ?></textarea><button class="btn stop mt-2">Waive the gate</button></form></details>
<?php elseif($gate->waivableBy !== []): ?><p class="fine">A <?php echo e(implode(' or a ', $gate->waivableBy)); ?> may waive it in writing.</p><?php endif; ?>
</section>
<?php endforeach; $__env->popLoop(); $loop = $__env->getLastLoop(); ?>
<?php if($open): ?>
<?php if($confirm): ?>
<?php ($c = $step->confirmation); ?>
<form method="post" action="<?php echo e($action('confirm')); ?>" class="strip"><?php echo csrf_field(); ?><input type="hidden" name="seen" value="<?php echo e($job->last_entry); ?>">
<p class="strip-what"><b><?php echo e($c->device); ?></b>, <span title="<?php echo e(number_format($c->bytes, 0, '.', ' ')); ?> B"><?php echo e(number_format($c->bytes, 0, '.', ' ')); ?> bytes</span><?php if($c->serial): ?>, serial <code><?php echo e(\Cobblestone\Runbook\Confirmation::mask($c->serial)); ?></code><?php endif; ?><br>Lost for <?php echo e($c->forWhom); ?>: <b><?php echo e($c->loses); ?></b>. This cannot be undone.</p>
<?php if($c->typed): ?><label for="serial">Last four of the serial, as printed on the drive</label><input id="serial" name="serial" class="form-control mono serial" maxlength="12" autocomplete="off" autocapitalize="characters" spellcheck="false" required data-key="g"><?php echo $__env->make('parts.error', ['field' => 'serial'], array_diff_key(get_defined_vars(), ['__data' => 1, '__path' => 1]))->render(); ?>
<?php elseif(! $c->serial): ?><p>This drive names no serial: compare size, model and contents once more, with every other drive out.</p><?php endif; ?>
<button class="btn stop" <?php echo e($c->typed ? '' : 'data-key=g'); ?>><?php echo e($c->typed ? 'It is this drive: begin' : 'Yes, this one: begin'); ?> <?php echo e($c->typed ? '' : ''); ?><kbd><?php echo e($c->typed ? 'Enter' : 'g'); ?></kbd></button></form>
<?php elseif($step->evidence !== [] && $state !== \Cobblestone\Runbook\StepState::Trouble): ?>
<?php echo $__env->make('run.evidence', ['for' => $step, 'button' => 'Done'], array_diff_key(get_defined_vars(), ['__data' => 1, '__path' => 1]))->render(); ?>
<?php endif; ?>
<div class="acts">
<?php if($state === \Cobblestone\Runbook\StepState::Trouble): ?>
<form method="post" action="<?php echo e($action('retry')); ?>"><?php echo csrf_field(); ?><input type="hidden" name="seen" value="<?php echo e($job->last_entry); ?>"><button class="btn go" data-key="t">Try again <kbd>t</kbd></button></form>
<?php elseif(! $confirm): ?>
<?php if($step->evidence === []): ?><form method="post" action="<?php echo e($action('done')); ?>" id="done"><?php echo csrf_field(); ?><input type="hidden" name="seen" value="<?php echo e($job->last_entry); ?>"><button class="btn go" <?php echo e($step->isOneWay() ? 'autofocus' : ''); ?>>Done <?php if (! ($step->isOneWay())): ?><kbd>space</kbd><?php else: ?><kbd>Enter</kbd><?php endif; ?></button></form><?php endif; ?>
<?php if($step->presence !== \Cobblestone\Runbook\Presence::Hands && ! $progress->isAway($step)): ?><form method="post" action="<?php echo e($action('walk')); ?>"><?php echo csrf_field(); ?><input type="hidden" name="seen" value="<?php echo e($job->last_entry); ?>"><button class="btn walk" data-key="w"><?php echo e($step->presence === \Cobblestone\Runbook\Presence::StayNear ? 'It runs, I stay near' : "I'm walking away"); ?> <kbd>w</kbd></button></form>
<?php elseif(! $started): ?><form method="post" action="<?php echo e($action('start')); ?>"><?php echo csrf_field(); ?><input type="hidden" name="seen" value="<?php echo e($job->last_entry); ?>"><button class="btn" data-key="s">Start the clock <kbd>s</kbd></button></form><?php endif; ?>
<?php endif; ?>
<?php if (! ($confirm)): ?><button class="btn" type="button" data-opens="problem" data-key="p">Problem <kbd>p</kbd></button><?php endif; ?>
<button class="btn" type="button" data-opens="note" data-key="n">Note <kbd>n</kbd></button><button class="btn" type="button" data-opens="because" data-key="b">Because <kbd>b</kbd></button>
</div>
<?php else: ?><div class="acts"><button class="btn" type="button" data-opens="note" data-key="n">Note <kbd>n</kbd></button><button class="btn" type="button" data-opens="because" data-key="b">Because <kbd>b</kbd></button></div><?php endif; ?>
<form method="post" action="<?php echo e($action('problem')); ?>" class="words" id="problem" hidden><?php echo csrf_field(); ?><input type="hidden" name="seen" value="<?php echo e($job->last_entry); ?>"><label for="problem-text">What is wrong? What is seen, in a few words</label><textarea id="problem-text" name="text" class="form-control" rows="2" maxlength="4000" required></textarea><button class="btn stop">Note the problem</button></form>
<?php else: ?><div class="acts"><?php if($mayWork): ?><button class="btn" type="button" data-opens="note" data-key="n">Note <kbd>n</kbd></button><?php endif; ?><button class="btn" type="button" data-opens="because" data-key="b">Because <kbd>b</kbd></button><?php if($progress->isComplete()): ?><a class="btn go" href="/jobs/<?php echo e($job->id); ?>/handover">Handover sheet</a><?php elseif($current && $current->id !== $step->id): ?><a class="btn go" href="/jobs/<?php echo e($job->id); ?>/run">To the stone that is next</a><?php endif; ?></div><?php endif; ?>
<?php if($mayWork): ?><form method="post" action="<?php echo e($action('note')); ?>" class="words" id="note" hidden><?php echo csrf_field(); ?><input type="hidden" name="seen" value="<?php echo e($job->last_entry); ?>"><label for="note-text">Note</label><textarea id="note-text" name="text" class="form-control" rows="2" maxlength="4000" required><?php echo e(old('text')); ?></textarea><button class="btn">Keep the note</button></form><?php endif; ?>
<?php $__errorArgs = ['text'];
$__bag = $errors->getBag($__errorArgs[1] ?? 'default');
if ($__bag->has($__errorArgs[0])) :
if (isset($message)) { $__messageOriginal = $message; }
$message = $__bag->first($__errorArgs[0]); ?><p class="wrong" role="alert"><?php echo e($message); ?></p><?php unset($message);
if (isset($__messageOriginal)) { $message = $__messageOriginal; }
endif;
unset($__errorArgs, $__bag); ?>
<?php $__errorArgs = ['role'];
$__bag = $errors->getBag($__errorArgs[1] ?? 'default');
if ($__bag->has($__errorArgs[0])) :
if (isset($message)) { $__messageOriginal = $message; }
$message = $__bag->first($__errorArgs[0]); ?><p class="wrong" role="alert"><?php echo e($message); ?></p><?php unset($message);
if (isset($__messageOriginal)) { $message = $__messageOriginal; }
endif;
unset($__errorArgs, $__bag); ?>
<aside id="because" class="because" hidden><h2>Because</h2><?php echo $__env->make('parts.because', array_diff_key(get_defined_vars(), ['__data' => 1, '__path' => 1]))->render(); ?></aside>
</section>
<?php if($next !== []): ?><div class="next-stones"><span>then</span><?php $__currentLoopData = array_slice($next, 0, 2); $__env->addLoop($__currentLoopData); foreach($__currentLoopData as $ahead): $__env->incrementLoopIndices(); $loop = $__env->getLastLoop(); ?><a href="?stone=<?php echo e($ahead->id); ?>"><?php echo e($ahead->title); ?> <small><?php echo e($ahead->presence->title()); ?>, <?php echo e($ahead->time->likely->label()); ?></small></a><?php endforeach; $__env->popLoop(); $loop = $__env->getLastLoop(); ?></div><?php endif; ?>
<?php if($others !== []): ?><div class="else"><b>What else needs hands</b><ul><?php $__currentLoopData = array_slice($others, 0, 4); $__env->addLoop($__currentLoopData); foreach($__currentLoopData as $item): $__env->incrementLoopIndices(); $loop = $__env->getLastLoop(); ?><li><a href="/jobs/<?php echo e($item['job']); ?>/run?stone=<?php echo e($item['step']); ?>"><?php echo e($item['slot'] === null ? '' : "Slot {$item['slot']}, "); ?><?php echo e($item['title']); ?></a>: <?php echo \App\View\Words::html($item['action']); ?></li><?php endforeach; $__env->popLoop(); $loop = $__env->getLastLoop(); ?></ul></div><?php endif; ?>
<?php $__env->stopSection(); ?>

<?php echo $__env->make('layout', array_diff_key(get_defined_vars(), ['__data' => 1, '__path' => 1]))->render(); ?><?php /**PATH /work/main/resources/views/run/show.blade.php ENDPATH**/ ?>