{{-- Other sections that meet in it --}}
<details>
    <summary>{{ trans_choice('section.share.title', count($card->sharedWith) + 1) }}</summary>
    @foreach ($card->sharedWith as $id => $name)
        <div class="inline mt-1">
            <span>{{ $name }}</span>
            <x-act :to="route('series.unshare', [$page->section, $card->id, $id])" method="delete" class="btn-plain py-0"
                :do="__('section.share.take_out')" :about="$name" />
        </div>
    @endforeach
    <form class="inline mt-1" method="post" action="{{ route('series.share', [$page->section, $card->id]) }}">@csrf
        <select class="form-select w-auto" name="share" aria-label="{{ __('section.share.label', ['title' => $card->title]) }}">
            <option value="">{{ __('section.share.choose') }}</option>
            @foreach ($card->mayShareWith as $id => $name)
                <option value="{{ $id }}">{{ $name }}</option>
            @endforeach
        </select>
        <button class="btn btn-side">{{ __('section.share.do') }}</button>
    </form>
</details>
