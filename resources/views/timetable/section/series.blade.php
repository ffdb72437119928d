{{-- One series with its sessions. card: SeriesCard --}}
<section class="card-s">
    <div class="d-flex align-items-baseline gap-3 flex-wrap">
        <h2>{{ $card->title }}</h2>
        <span class="quiet"><x-joined by=" · " :of="[
            trim($card->sentence . ' ' . $card->place),
            trans_choice('count.sessions', $card->planned) . ', ' . Words::minutes($card->minutes),
            $card->lost === 0 ? '' : __('section.lost', ['n' => $card->lost]),
        ]" /></span>
        @if ($page->mayPlan)
            <a class="ms-auto" href="{{ route('section', [$page->section, 'change' => $card->id]) }}">{{ __('section.change') }}</a>
        @endif
    </div>
    <ul class="sessions">
        @foreach ($card->sessions as $one)
            @include('timetable.section.session', ['one' => $one])
        @endforeach
    </ul>
    @if ($page->mayChange)
        <div class="tools">
            @include('timetable.section.extra')
            @include('timetable.section.topics')
            @if ($page->mayPlan)
                @include('timetable.section.share')
            @endif
        </div>
    @endif
    @if (!$page->mayPlan && $card->sharedWith !== [])
        <p class="quiet">{{ __('section.share.with', ['names' => implode(', ', $card->sharedWith)]) }}</p>
    @endif
</section>
