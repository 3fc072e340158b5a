package wake.log;

import static org.assertj.core.api.Assertions.assertThat;
import static wake.Samples.expanded;

import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class PaceFormatTest {
    /**
     * Arithmetic: 0.24 s per metre is 2:00 per 500 m and 4:00 per km; 2.5 s per calorie is 1,440 an hour; 1 mi = 1,609.344 m (NIST SP
     * 811), so 2:00 per 500 m is 386.24256 s a mile. A run in miles is paced per mile, a rower always per 500 m.
     */
    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "500 m row  | 0.24 | 2:00.0 /500 m",
                "400 m run  | 0.24 | 4:00.0 /km",
                "1 km run   | 240  | 4:00.0 /km",
                "1 mi run   | 450  | 7:30.0 /mi",
                "50 ft handstand walk, in 25 ft | 0.32 | 8.0 s /25 ft",
                "2 mi row   | 386.24256 | 2:00.0 /500 m",
                "20 cal row | 2.5  | 1,440 cal/h",
                "12 burpee  | 3    | 20 reps/min"
            })
    void paceIsSaidAsCoachesSayIt(String line, double secondsPerUnit, String words) {
        var segment = expanded("# A\nfor time\n  " + line + "\n").segments().getFirst();
        assertThat(PaceFormat.of(segment, secondsPerUnit)).isEqualTo(words);
    }
}
