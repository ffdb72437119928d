{{-- The quick question that is asked, with its counts. question: as the bridge says it; page: DeskPage --}}
<div class="said mb-2">
    <b>{{ $question['text'] }}</b>
    @foreach ($question['answers'] as $i => $answer)
        <span class="ms-3">{{ $answer }} <b class="num">{{ $question['counts'][$i] ?? 0 }}</b></span>
    @endforeach
    <span class="quiet ms-3">{{ trans_choice('live.question.counts', array_sum($question['counts'])) }}</span>
    <x-live.act :live="$page->live" act="clear-question" :do="__('live.question.clear')" />
</div>
