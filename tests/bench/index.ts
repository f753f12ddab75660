/** Times of what a planner waits for. Every file prints its own when it is loaded. */
import './plan'
import './coverings'
import './in-roof'
import './wiring'
import './ground'
import './two-firms'
import './long-rails'
import './documents'
